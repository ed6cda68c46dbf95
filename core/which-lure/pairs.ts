import { medianOf } from '#core/numeric/median'
import { type LureId, lureType } from '#core/lure/types'
import type { Occasion } from '#core/rules/occasion'
import { hearsHigher } from '#core/senses/hearing'
import { isDirty, seesFar } from '#core/rules/occasion'
import type { UnitSystem } from '#core/units'
import type { Candidate } from '#core/which-lure/answer'
import type { LureCustom } from '#core/which-lure/customs'
import { fishedHere, shutOut } from '#core/which-lure/occasions'
import type { LuresRequest } from '#core/which-lure/request'
import { FACTORS, type Factor, type Middle, type Plain, type Worth, worthOf } from '#core/which-lure/worth'
import type { Gate } from '#core/words/lures'
import type { Decider, Lead, PairSide } from '#core/words/pairs'
import { type Said, type Sentence, plainly, said } from '#core/words/sentence'

/** Two lures that anglers swap, or one with and without its knock, and what decides now. */
export interface PairOut {
  a: PairSide
  b: PairSide
  wins: 'a' | 'b' | 'either' | 'neither'
  by: Decider
  why: Said
}

/** The middle of the lures at hand, for customs to be held against. */
export const middleOf = (plains: readonly Plain[]): Middle => ({
  'found': medianOf(plains.map(p => p.claims.found)),
  'bears-look': medianOf(plains.map(p => p.claims['bears-look'])),
  'comes-through': medianOf(plains.map(p => p.claims['comes-through'])),
  'reaches': medianOf(plains.map(p => p.claims.reaches)),
})

/** Pairs that anglers swap (field guide section 4). */
export const LURE_PAIRS: readonly (readonly [LureId, LureId])[] = [
  ['spinnerbait', 'swim-jig'],
  ['walking-frog', 'popping-frog'],
  ['bladed-jig', 'shallow-crankbait'],
  ['jerkbait', 'stick-worm'],
]
/** What answers a miss at a surface lure. */
const FOLLOW_UP: LureId = 'stick-worm'

/** A lead smaller than this decides nothing: logarithm of a factor. */
const DECIDES = 0.2

/** In what way a factor leads; customs and windows have their own. */
const LEAD_OF: Readonly<Record<Exclude<Factor, 'customs' | 'windows'>, Lead>> = {
  search: 'found',
  passage: 'cover',
  chase: 'temperature',
  look: 'look',
  depth: 'depth',
  food: 'food',
  size: 'size',
}
/** What decides where a lure leads so. */
const decidesBy = (lead: Lead): Decider =>
  lead === 'found' || lead === 'look' || lead === 'suits' ? 'clarity' : lead === 'size' ? 'food' : lead

/** What a custom hangs on. */
function byCustom({ when: w }: LureCustom): Lead {
  if (w.windy) return 'wind'
  if (w.prey) return 'food'
  if (w.covers) return 'cover'
  if (w.visibilityM || w.pressures) return 'suits'
  return w.dim || w.night ? 'light' : 'temperature'
}

/** What most carries the winner past the loser. */
function leadOf(winner: Worth, loser: Worth): Lead {
  let best: { by: number; lead: Lead } = { by: -Infinity, lead: 'suits' }
  for (const factor of FACTORS) {
    const by = winner.factors[factor] - loser.factors[factor]
    if (by <= best.by) continue
    const [custom] = winner.customs
    const ofCustom = custom ? byCustom(custom.custom) : 'suits'
    best = { by, lead: factor === 'customs' ? ofCustom : factor === 'windows' ? 'suits' : LEAD_OF[factor] }
  }
  return best.lead
}

/** What decides where one of the two is shut out. */
const DECIDED_BY: Readonly<Record<Gate, Decider>> = {
  cover: 'cover',
  depth: 'depth',
  wind: 'wind',
  clarity: 'clarity',
  light: 'light',
  cold: 'temperature',
  warm: 'temperature',
  beds: 'temperature',
  salinity: 'temperature',
}
/** What a lure is worth here, or what shuts it out. */
type Stands = { worth: Worth } | { out: NonNullable<ReturnType<typeof shutOut>> }

/** What decides between two lures; each has what it is worth, or what shuts it out. */
export function pairOf(
  [a, b]: readonly [LureId, LureId],
  stands: (lure: LureId) => Stands,
): { wins: PairOut['wins']; by: Decider; says: Sentence } {
  const [left, right] = [stands(a), stands(b)]
  if ('out' in left && 'out' in right) {
    const { gate } = left.out
    return { wins: 'neither', by: DECIDED_BY[gate], says: { code: 'pair.neither', params: { a, b, gate } } }
  }
  const oneOut = (wins: 'a' | 'b', gate: Gate) => {
    const [winner, loser] = wins === 'a' ? [a, b] : [b, a]
    return { wins, by: DECIDED_BY[gate], says: { code: 'pair.one-out', params: { winner, loser, gate } } } as const
  }
  if ('out' in left) return oneOut('b', left.out.gate)
  if ('out' in right) return oneOut('a', right.out.gate)
  const lead = left.worth.total - right.worth.total
  const [winner, loser] = lead >= 0 ? [left.worth, right.worth] : [right.worth, left.worth]
  const how = leadOf(winner, loser)
  const by = decidesBy(how)
  if (Math.abs(lead) < DECIDES) return { wins: 'either', by, says: { code: 'pair.either', params: { a, b } } }
  return {
    wins: lead > 0 ? 'a' : 'b',
    by,
    says: { code: 'pair.wins', params: { winner: lead > 0 ? a : b, lead: how } },
  }
}

/** With its knock or without: how well they see, how wary they are, and what they hear. */
export function knockOf(o: Occasion): { wins: PairOut['wins']; by: Decider; says: Sentence } {
  const { conditions: c, grades } = o
  if (isDirty(o) || grades.night > 0.5) return { wins: 'a', by: 'clarity', says: plainly('pair.knock-dark') }
  if (c.pressure === 'high') return { wins: 'b', by: 'clarity', says: plainly('pair.silent-wary') }
  if (seesFar(o) && c.wind === 'calm') return { wins: 'b', by: 'clarity', says: plainly('pair.silent-clear') }
  if (hearsHigher(c.species)) return { wins: 'a', by: 'wind', says: plainly('pair.knock-drum') }
  return { wins: 'either', by: 'clarity', says: plainly('pair.knock-either') }
}

/** The pairs of which both belong to this water. */
export function pairsOf(
  request: LuresRequest,
  candidates: readonly Candidate[],
  middle: Middle,
  units: UnitSystem,
): PairOut[] {
  const byLure = new Map(candidates.map(c => [c.fished.request.lure, c]))
  const asked = new Set<LureId>(request.lures ?? [])
  const belongs = (lure: LureId) =>
    (asked.size === 0 || asked.has(lure)) && (request.water.salinity ?? 'fresh') === 'fresh'
  const out: PairOut[] = []
  for (const pair of LURE_PAIRS) {
    if (!pair.every(belongs)) continue
    const found = pairOf(pair, lure => {
      const candidate = byLure.get(lure)
      if (candidate) return { worth: worthOf(candidate.plain, middle) }
      return { out: shutOut(fishedHere(request, lure).occasion)! }
    })
    out.push({ a: pair[0], b: pair[1], wins: found.wins, by: found.by, why: said(found.says, units) })
  }
  const rattler = candidates.find(c => lureType(c.fished.request.lure).powers.includes('rattles'))
  if (rattler) {
    const { wins, by, says } = knockOf(rattler.fished.occasion)
    out.push({ a: 'knocking', b: 'silent', wins, by, why: said(says, units) })
  }
  const top = candidates.find(c => lureType(c.fished.request.lure).surface)
  if (top && byLure.has(FOLLOW_UP)) {
    const why = said({ code: 'pair.follow-up', params: { lure: FOLLOW_UP } }, units)
    out.push({ a: top.fished.request.lure, b: FOLLOW_UP, wins: 'either', by: 'light', why })
  }
  return out
}
