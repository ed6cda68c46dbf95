import { parseCoat } from '#core/paintwork/coat'
import { buildFinish } from '#core/lure/finish'
import { type LureType, lureType } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import type { DressUp } from '#core/ranking/answer'
import type { Judge, Judged } from '#core/ranking/judge'
import { rounded } from '#core/numeric/rounded'
import { type PreyLook, measure } from '#core/sight/measure'
import type { Moment } from '#core/schools/school'
import { clarityWord } from '#core/water/words'
import { type Sentence, type SentenceCode, said } from '#core/words/sentence'

interface Change {
  part: Part
  coat: string
  says: Sentence
  /** Only where it is worth doing at all. */
  when?: (m: Moment) => boolean
  /** Only over metal; only on this group of lures, or on any but this one. */
  from?: 'metal'
  only?: LureType['group']
  not?: LureType['group']
}

type Tinted = 'dress.throat' | 'dress.dip-tail' | 'dress.feather' | 'dress.trailer'
const tinted = (code: Tinted, colour: string): Sentence => ({ code, params: { colour } })
type Bare = Exclude<Extract<SentenceCode, `dress.${string}`>, Tinted>
const bare = (code: Bare): Sentence => ({ code, params: {} })

/** Blades are blackened for fish that see far and have seen them before, never where flash is all there is. */
const isClearAndWary = ({ conditions: c }: Moment) =>
  ['clear', 'gin'].includes(clarityWord(c.visibilityM)) && c.pressure !== 'low'

/** Small changes an angler can make at the water, as coats on a part that is already there. */
const CHANGES: readonly Change[] = [
  { part: 'blade', coat: 'black', says: bare('dress.blacken-blades'), from: 'metal', when: isClearAndWary },
  { part: 'blade', coat: 'gold', says: bare('dress.gold-blades') },
  { part: 'blade', coat: 'silver', says: bare('dress.silver-blades') },
  { part: 'chin', coat: 'orange', says: tinted('dress.throat', 'orange') },
  { part: 'chin', coat: 'red', says: tinted('dress.throat', 'red') },
  { part: 'tail', coat: 'chartreuse:fluorescent', says: tinted('dress.dip-tail', 'chartreuse'), not: 'surface' },
  { part: 'tail', coat: 'black', says: tinted('dress.dip-tail', 'black'), not: 'surface' },
  { part: 'tail', coat: 'orange', says: tinted('dress.dip-tail', 'orange'), not: 'surface' },
  { part: 'tail', coat: 'white', says: tinted('dress.feather', 'white'), only: 'surface' },
  { part: 'tail', coat: 'red', says: tinted('dress.feather', 'red'), only: 'surface' },
  { part: 'tail', coat: 'black', says: tinted('dress.feather', 'black'), only: 'surface' },
  { part: 'hook', coat: 'red', says: bare('dress.red-hooks') },
  { part: 'trailer', coat: 'chartreuse:fluorescent', says: tinted('dress.trailer', 'chartreuse') },
  { part: 'trailer', coat: 'white', says: tinted('dress.trailer', 'white') },
  { part: 'trailer', coat: 'black', says: tinted('dress.trailer', 'black') },
  { part: 'back', coat: 'black', says: bare('dress.darken-back') },
]
/** Bars drawn with a scent-free marker over whatever the flank is. */
const BARS = { part: 'flank', add: '+black*0.15', says: bare('dress.bars') } as const

/** A gain smaller than this is not worth wet hands. */
const WORTH_IT = 0.012
const MOST = 4

/**
 * Try the changes on the best picks; offer those that raise the score, best first, with the gain. One that would lift a
 * lower pick past the first is not offered: the first is what to tie on, dressed or not.
 */
export function dressUpsOf(
  best: readonly Judged[],
  moment: Moment,
  prey: readonly PreyLook[],
  judge: Judge,
): DressUp[] {
  const { units } = moment.conditions
  const out: DressUp[] = []
  for (const j of best) {
    const coats = Object.fromEntries(j.finish.parts.map(p => [p.part, p.coat]))
    const { group, powers } = lureType(j.finish.lure)
    const tries: Change[] = CHANGES.filter(
      c =>
        coats[c.part] &&
        (c.part !== 'blade' || powers.includes('spins')) &&
        coats[c.part] !== parseCoat(c.coat) &&
        (c.from !== 'metal' || coats[c.part]!.material === 'metallic') &&
        (!c.when || c.when(moment)) &&
        (!c.only || c.only === group) &&
        c.not !== group,
    )
    const flank = j.finish.parts.find(p => p.part === 'flank')
    if (flank && flank.coat.speckles.length === 0)
      tries.push({ ...BARS, coat: `${flank.coat.paint}:${flank.coat.material}${BARS.add}` })
    for (const t of tries) {
      const dressed = buildFinish(
        j.finish.lure,
        j.finish.id,
        j.finish.name,
        { ...coats, [t.part]: parseCoat(t.coat) },
        j.finish.mark,
        j.finish.mimics,
      )
      const { score } = judge.judge(measure(dressed, moment.scene, prey))
      const gain = score - j.score
      if (gain < WORTH_IT || (j !== best[0] && score > best[0]!.score)) continue
      out.push({ finishId: j.finish.id, ...said(t.says, units), gain: rounded(gain), part: t.part, coat: t.coat })
    }
  }
  return out.sort((a, b) => b.gain - a.gain).slice(0, MOST)
}
