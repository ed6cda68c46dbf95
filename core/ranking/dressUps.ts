import { parseCoat } from '#core/finish/coat'
import { buildFinish } from '#core/finish/finish'
import { type LureType, lureType } from '#core/finish/lures'
import type { Part } from '#core/finish/parts'
import type { DressUp } from '#core/ranking/answer'
import { type Judge, type Judged, round } from '#core/ranking/judge'
import { type Prey, measure } from '#core/sight/measure'
import type { Scene } from '#core/sight/scene'

/** Small changes an angler can make at the water, as coats on a part that is already there. */
const CHANGES: readonly { part: Part, coat: string, words: string, from?: 'metal', only?: LureType['group'], not?: LureType['group'] }[] = [
  { part: 'blade', coat: 'black', words: 'Blacken the blades with a marker', from: 'metal' },
  { part: 'blade', coat: 'gold', words: 'Swap the blades for gold' },
  { part: 'blade', coat: 'silver', words: 'Swap the blades for silver' },
  { part: 'chin', coat: 'orange', words: 'Colour the throat orange' },
  { part: 'chin', coat: 'red', words: 'Colour the throat red' },
  { part: 'tail', coat: 'chartreuse:fluorescent', words: 'Dip the tail in chartreuse', not: 'surface' },
  { part: 'tail', coat: 'black', words: 'Dip the tail in black', not: 'surface' },
  { part: 'tail', coat: 'orange', words: 'Dip the tail in orange', not: 'surface' },
  { part: 'tail', coat: 'white', words: 'Tie a white feather on the tail hook', only: 'surface' },
  { part: 'tail', coat: 'red', words: 'Tie a red feather on the tail hook', only: 'surface' },
  { part: 'tail', coat: 'black', words: 'Tie a black feather on the tail hook', only: 'surface' },
  { part: 'hook', coat: 'red', words: 'Change to red hooks' },
  { part: 'trailer', coat: 'chartreuse:fluorescent', words: 'Change to a chartreuse trailer' },
  { part: 'trailer', coat: 'white', words: 'Change to a white trailer' },
  { part: 'trailer', coat: 'black', words: 'Change to a black trailer' },
  { part: 'back', coat: 'black', words: 'Darken the back with a marker' },
]
/** Bars drawn with a scent-free marker over whatever the flank is. */
const BARS = { part: 'flank' as const, add: '+black*0.15', words: 'Draw dark bars on the side with a scent-free marker' }

/** A gain smaller than this is not worth wet hands. */
const WORTH_IT = 0.012
const MOST = 4

/** Try the changes on the best picks; offer those that raise the score, best first, with the gain. */
export function dressUpsOf(best: readonly Judged[], scene: Scene, prey: readonly Prey[], judge: Judge): DressUp[] {
  const out: DressUp[] = []
  for (const j of best) {
    const coats = Object.fromEntries(j.finish.parts.map(p => [p.part, p.coat]))
    const { group } = lureType(j.finish.lure)
    const tries: { part: Part, coat: string, words: string }[] = CHANGES.filter(c =>
      coats[c.part] && coats[c.part] !== parseCoat(c.coat) && (c.from !== 'metal' || coats[c.part]!.material === 'metallic') && (!c.only || c.only === group) && c.not !== group)
    const flank = j.finish.parts.find(p => p.part === 'flank')
    if (flank && flank.coat.speckles.length === 0) tries.push({ ...BARS, coat: `${flank.coat.paint}:${flank.coat.material}${BARS.add}` })
    for (const t of tries) {
      const dressed = buildFinish(j.finish.lure, j.finish.id, j.finish.name, { ...coats, [t.part]: parseCoat(t.coat) }, j.finish.mark, j.finish.mimics)
      const gain = judge.judge(measure(dressed, scene, prey)).score - j.score
      if (gain >= WORTH_IT) out.push({ finishId: j.finish.id, text: `${t.words}.`, gain: round(gain), part: t.part, coat: t.coat })
    }
  }
  return out.sort((a, b) => b.gain - a.gain).slice(0, MOST)
}
