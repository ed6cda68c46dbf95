import { rounded } from '#core/numeric/rounded'
import { answerOf } from '#core/evidence/readWater'
import type { ReadingsAnswer } from '#core/evidence/answer'
import { type Posterior, posteriorOf } from '#core/evidence/whichWater'
import type { Answer, Ranked } from '#core/ranking/answer'
import { rank, recommend } from '#core/ranking/recommend'
import { REQUEST, type Request } from '#core/request/request'
import type { Reading } from '#core/request/readings'
import type { TintId } from '#core/water/tints'

/** A request whose water is told by readings in the place of its visibility and tint. */
export type RequestByReadings = Omit<Request, 'water'> & {
  water: Omit<Request['water'], 'visibilityM' | 'tint'> & { readings: readonly Reading[] }
}

/** An answer for the best water, with how far it hangs on which water it is. */
export type AnswerByReadings = Answer & {
  ranked: (Ranked & { first?: number })[]
  /** Share of the waters the readings allow in which the first pick comes first or shares its place, 0-1. */
  sure: number
  water: ReadingsAnswer
}

/** Waters that stand for all that the readings allow. */
const WATERS = 48
/** How many of the picks are told how often they come first. */
const TOLD = 10
/** Disc depths are taken alike within this step of their logarithm. */
const ALIKE = 0.06

/** A water that the readings allow, with its share of their odds. */
export interface Allowed {
  tint: TintId
  visibilityM: number
  share: number
}

/** Waters drawn evenly through what the readings allow, tint by tint and from murky to clear. */
export function allowedWaters({ waters, odds }: Posterior, count = WATERS): Allowed[] {
  const [least, most] = REQUEST.fields.water.fields.visibilityM.range
  const order = Array.from(odds.keys())
    .filter(i => odds[i]! > 0)
    .sort((a, b) => waters.tint[a]!.localeCompare(waters.tint[b]!) || waters.discM[a]! - waters.discM[b]!)
  const out = new Map<string, Allowed>()
  let sum = 0
  let drawn = 0
  for (const i of order) {
    sum += odds[i]!
    for (; drawn < count && sum >= (drawn + 0.5) / count; drawn++) {
      const step = Math.round(Math.log(waters.discM[i]!) / ALIKE)
      const key = `${waters.tint[i]} ${step}`
      const visibilityM = Math.min(most, Math.max(least, Number(Math.exp(step * ALIKE).toFixed(3))))
      const known = out.get(key)
      if (known) known.share += 1 / count
      else out.set(key, { tint: waters.tint[i]!, visibilityM, share: 1 / count })
    }
  }
  return [...out.values()]
}

/** The request for one water in the place of what it tells of its own. */
function inWater(request: Request | RequestByReadings, { tint, visibilityM }: Omit<Allowed, 'share'>): Request {
  const { readings: _, ...water } = { readings: undefined, ...request.water }
  return { ...request, water: { ...water, tint, visibilityM } }
}

/** The first pick of a water, and all that share its place. */
export interface FirstIn {
  water: Allowed
  first: string
  shared: string[]
}

/** What comes first in a water, whatever water the request tells of. */
export function firstIn(request: Request | RequestByReadings, water: Allowed): FirstIn {
  const { ranked, places } = rank(inWater(request, water))
  return {
    water,
    first: ranked[0]!.finish.id,
    shared: ranked.filter((_, i) => places[i] === 1).map(j => j.finish.id),
  }
}

/** The share of the waters of which something holds. */
const shareWhere = (firsts: readonly FirstIn[], holds: (f: FirstIn) => boolean): number =>
  firsts.reduce((s, f) => s + (holds(f) ? f.water.share : 0), 0)

/** Rank for the water the readings make likeliest, and tell how far the pick hangs on it. */
export function recommendByReadings(request: RequestByReadings): AnswerByReadings {
  const posterior = posteriorOf(request.water.readings, request.water.salinity === 'salt')
  const water = answerOf(posterior, request.units ?? 'metric')
  const [least, most] = REQUEST.fields.water.fields.visibilityM.range
  const visibilityM = Math.min(most, Math.max(least, water.visibilityM.best))
  const answer = recommend(inWater(request, { tint: water.tints[0]!.tint, visibilityM }))
  const firsts = allowedWaters(posterior).map(w => firstIn(request, w))
  const first = (id: string) =>
    rounded(
      shareWhere(firsts, f => f.first === id),
      3,
    )
  return {
    ...answer,
    ranked: answer.ranked.map((r, i) => (i < TOLD ? { ...r, first: first(r.finish.id) } : r)),
    sure: rounded(
      shareWhere(firsts, f => f.shared.includes(answer.ranked[0]!.finish.id)),
      3,
    ),
    water,
  }
}
