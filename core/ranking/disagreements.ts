import { SCHOOLS, SCHOOL_IDS, type SchoolId } from '#core/conditions/schools'
import { lengthWords, timesWords } from '#core/conditions/lengths'
import type { Disagreement } from '#core/ranking/answer'
import type { Judged } from '#core/ranking/judge'
import { differs } from '#core/ranking/rotation'
import type { Moment } from '#core/schools/school'
import { apartJnd } from '#core/sight/measure'
import { TINTS } from '#core/water/tints'

/** Pairs whose quarrels the field knows best come first. */
const OLD_QUARRELS: readonly (readonly [SchoolId, SchoolId])[] = [
  ['blend', 'contrast'], ['match', 'bright-day'], ['match', 'reaction'], ['contrast', 'fish-eye'], ['contrast', 'bright-day'], ['few-colours', 'match'],
]
const MOST = 3
/** A quarrel counts when the picks are this different in kind. */
const IN_KIND = 0.5

/** Where schools' first picks conflict in kind, both are shown, with what the optics say about it in numbers. */
export function disagreementsOf(ranked: readonly Judged[], moment: Moment): Disagreement[] {
  const picks = new Map(SCHOOL_IDS.map(id => [id, ranked.reduce((top, j) => j.opinions[id].value > top.opinions[id].value + 1e-9 ? j : top)]))
  const pairs = [...OLD_QUARRELS, ...SCHOOL_IDS.flatMap((a, i) => SCHOOL_IDS.slice(i + 1).map(b => [a, b] as const))]
  const out: Disagreement[] = []
  const shown = new Set<string>()
  for (const [a, b] of pairs) {
    const p = picks.get(a)!
    const q = picks.get(b)!
    const key = [p.finish.id, q.finish.id].sort().join()
    if (out.length >= MOST || shown.has(key) || differs(p, q) < IN_KIND) continue
    shown.add(key)
    out.push({
      between: [a, b], picks: [p.finish.id, q.finish.id],
      text: `${SCHOOLS[a].words} says ${p.finish.name.toLowerCase()}; ${SCHOOLS[b].words.toLowerCase()} says ${q.finish.name.toLowerCase()}.`,
      optics: opticsWords(p, q, moment),
    })
  }
  return out
}

function opticsWords(p: Judged, q: Judged, { conditions: c }: Moment): string {
  const [far, near] = p.sightM >= q.sightM ? [p, q] : [q, p]
  const ratio = far.sightM / near.sightM
  const water = `In ${TINTS[c.tint].name.replace(/ \(.*/, '')} water seen to ${lengthWords(c.visibilityM, c.units)}`
  const apart = apartJnd(p, q)
  if (apart < 1) return `${water} the fish cannot tell them apart at ${lengthWords(c.fishM, c.units)}.`
  const reach = ratio < 1.05
    ? `both show from about ${lengthWords(far.sightM, c.units)}`
    : `${far.finish.name.toLowerCase()} is seen ${timesWords(ratio)} as far as ${near.finish.name.toLowerCase()} (${lengthWords(far.sightM, c.units)} against ${lengthWords(near.sightM, c.units)})`
  const [like, unlike] = p.natural >= q.natural ? [p, q] : [q, p]
  const food = like.natural > 1.3 * unlike.natural ? `; close up, ${like.finish.name.toLowerCase()} is the more like their food` : ''
  return `${water}, ${reach}${food}.`
}
