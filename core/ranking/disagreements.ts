import { nameSaid } from '#core/lure/finish'
import { SCHOOL_IDS, type SchoolId } from '#core/words/schools'
import { type Sentence, codeOf, say } from '#core/words/sentence'
import type { Disagreement } from '#core/ranking/answer'
import type { Judged } from '#core/ranking/judge'
import { type Twins, differs } from '#core/ranking/rotation'
import type { Moment } from '#core/schools/school'

/** Pairs whose quarrels the field knows best come first. */
const OLD_QUARRELS: readonly (readonly [SchoolId, SchoolId])[] = [
  ['blend', 'contrast'],
  ['match', 'bright-day'],
  ['match', 'reaction'],
  ['contrast', 'fish-eye'],
  ['contrast', 'bright-day'],
  ['few-colours', 'match'],
]
const MOST = 3
/** A quarrel counts when the picks are this different in kind. */
const IN_KIND = 0.5

/**
 * Where schools' first picks conflict in kind and to this fish's eye, both are shown, with what the optics say about it
 * in numbers and when to take which side.
 */
export function disagreementsOf(ranked: readonly Judged[], moment: Moment, twins: Twins): Disagreement[] {
  const { units } = moment.conditions
  const picks = new Map(
    SCHOOL_IDS.map(id => [
      id,
      ranked.reduce((top, j) => (j.stances[id].value > top.stances[id].value + 1e-9 ? j : top)),
    ]),
  )
  const pairs = [...OLD_QUARRELS, ...SCHOOL_IDS.flatMap((a, i) => SCHOOL_IDS.slice(i + 1).map(b => [a, b] as const))]
  const out: Disagreement[] = []
  const shown = new Set<string>()
  for (const [a, b] of pairs) {
    const p = picks.get(a)!
    const q = picks.get(b)!
    const key = [p.finish.id, q.finish.id].sort().join()
    if (out.length >= MOST || shown.has(key) || differs(p, q) < IN_KIND || twins(p, q)) continue
    shown.add(key)
    const sides: Sentence = {
      code: 'quarrel.sides',
      params: { a, b, pickA: nameSaid(p.finish), pickB: nameSaid(q.finish) },
    }
    const when: Sentence = { code: 'quarrel.when', params: { a, b } }
    const optics = opticsOf(p, q, moment)
    out.push({
      between: [a, b],
      picks: [p.finish.id, q.finish.id],
      text: say(sides, units),
      optics: say(optics, units),
      when: say(when, units),
      says: { text: codeOf(sides), optics: codeOf(optics), when: codeOf(when) },
    })
  }
  return out
}

/** Ranges closer than this ratio are the same to an angler, and food likeness closer than that. */
const SAME_RANGE = 1.05
const PLAINLY_LIKER = 1.3

/** What the optics say of two picks: how far each is seen, and which is more like the food close up. */
function opticsOf(p: Judged, q: Judged, { conditions: c }: Moment): Sentence {
  const water = { tint: c.tint, visibilityM: c.visibilityM, fishM: c.fishM }
  const [far, near] = p.sightM >= q.sightM ? [p, q] : [q, p]
  const [like, unlike] = p.natural >= q.natural ? [p, q] : [q, p]
  const times = far.sightM / near.sightM
  const params = {
    ...water,
    far: nameSaid(far.finish),
    near: nameSaid(near.finish),
    farM: far.sightM,
    nearM: near.sightM,
    times,
    moreLikeFood: like.natural > PLAINLY_LIKER * unlike.natural ? nameSaid(like.finish) : null,
  }
  return times < SAME_RANGE ? { code: 'quarrel.same-reach', params } : { code: 'quarrel.one-farther', params }
}
