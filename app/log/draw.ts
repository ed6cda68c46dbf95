import { uniformFrom } from '#core/numeric/uniform'
import { MINUTE_MS } from '#core/units'
import type { TripRecord } from '#shared/schema/record'

/** So long a rod is fished before the draw names the next, minutes. */
export const DRAW_MIN = 10

/** The rods of a round in an order drawn from the seed: each once. */
function round(seed: number, n: number, rods: number): number[] {
  const next = uniformFrom(seed + n)
  const order = Array.from({ length: rods }, (_, i) => i)
  for (let i = rods - 1; i > 0; i--) {
    const j = Math.floor(next() * (i + 1))
    ;[order[i], order[j]] = [order[j]!, order[i]!]
  }
  return order
}

/** The rod the draw names at a moment, and until when; null where a trip is not fished by it. */
export function drawnAt({ draw, rods }: Pick<TripRecord, 'draw' | 'rods'>, nowMs: number) {
  if (!draw) return null
  const length = draw.everyMin * MINUTE_MS
  const from = Date.parse(draw.from)
  const slot = Math.max(0, Math.floor((nowMs - from) / length))
  const rod = round(draw.seed, Math.floor(slot / rods.length), rods.length)[slot % rods.length]!
  return { rod, untilMs: from + (slot + 1) * length }
}
