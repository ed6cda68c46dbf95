import { nameSaid } from '#core/lure/finish'
import type { CloseCall } from '#core/ranking/answer'
import type { Judged } from '#core/ranking/judge'
import type { Twins } from '#core/ranking/rotation'
import { SCHOOL_IDS, type SchoolId } from '#core/words/schools'
import { type Sentence, said } from '#core/words/sentence'
import type { UnitSystem } from '#core/units'

/**
 * Scores closer than this are the same to the engine: about what a score moves beside another when the readings stray
 * by a tenth of the clarity, half a degree of water and two of sun (`npm run bench stability`).
 */
export const NOISE = 0.015

/** The place of each finish of a ranking, from 1: shared by all within the noise of the first of the place. */
export function placesOf(ranked: readonly Judged[]): number[] {
  const out: number[] = []
  let head = 0
  ranked.forEach((j, i) => {
    if (ranked[head]!.score - j.score > NOISE) head = i
    out.push(head + 1)
  })
  return out
}

/** Most names said of a shared place. */
const NAMED = 3

/** Which finishes share the first place, and what settles between them; null where one is plainly first. */
export function closeCallOf(ranked: readonly Judged[], twins: Twins, units: UnitSystem): CloseCall | null {
  const shared = ranked.filter((_, i, all) => all[0]!.score - all[i]!.score <= NOISE)
  if (shared.length < 2) return null
  const names = shared.slice(0, NAMED).map(j => nameSaid(j.finish))
  const others = shared.length - names.length
  const [a] = shared
  const b = shared.find(j => !twins(j, a!))
  const sentence: Sentence = b
    ? { code: 'close.leans', params: { names, others, ...leaning(a!, b) } }
    : { code: 'close.same-look', params: { names, others } }
  return { finishIds: shared.map(j => j.finish.id), ...said(sentence, units) }
}

/** The school that most prefers each of two finishes to the other. */
function leaning(a: Judged, b: Judged): { a: string; b: string; forA: SchoolId; forB: SchoolId } {
  const lead = (id: SchoolId) => a.stances[id].value - b.stances[id].value
  const most = (sign: number) => SCHOOL_IDS.reduce((top, id) => (sign * lead(id) > sign * lead(top) ? id : top))
  return { a: nameSaid(a.finish), b: nameSaid(b.finish), forA: most(1), forB: most(-1) }
}
