import { NOISE } from '#core/ranking/closeCall'
import { rank } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import { SKIES } from '#core/sky/weather'

/** The cloud of a sky, with room for more. */
const cloudOf = ({ light }: Request) => Math.min(0.9, SKIES[light.sky].cloud)

/** Readings that stray as an angler's do: a tenth of the clarity, half a degree, two degrees of sun, a little cloud. */
export const STRAYS: Readonly<Record<string, (r: Request) => Request>> = {
  'clarity +10 %': r => ({ ...r, water: { ...r.water, visibilityM: Math.min(30, r.water.visibilityM * 1.1) } }),
  'temperature +0.5 °C': r => ({ ...r, water: { ...r.water, temperatureC: (r.water.temperatureC ?? 15) + 0.5 } }),
  'sun +2°': r => ({ ...r, light: { ...r.light, sunElevationDeg: (r.light.sunElevationDeg ?? 40) + 2 } }),
  'cloud +5 %': r => ({ ...r, light: { ...r.light, cloud: cloudOf(r) + 0.05 } }),
}

/** A request with its cloud written out, so that both rankings differ by the step alone. */
const written = (r: Request): Request => ({ ...r, light: { ...r.light, cloud: cloudOf(r) } })

/** Kendall's tau-a of two orders of the same names: 1 the same, -1 reversed. */
export function kendallTau(a: readonly string[], b: readonly string[]): number {
  const at = new Map(b.map((id, i) => [id, i]))
  let agree = 0
  for (let i = 0; i < a.length; i++) {
    for (let k = i + 1; k < a.length; k++) agree += at.get(a[i]!)! < at.get(a[k]!)! ? 1 : -1
  }
  return agree / ((a.length * (a.length - 1)) / 2)
}

export interface Steadiness {
  tau: number
  /** Whether the first place was kept, or was not plainly first before. */
  kept: boolean
  /** Changes of the scores beside each other among the best five. */
  shifts: number[]
}

/** How a ranking takes a straying of its readings. */
export function steadiness(request: Request, stray: (r: Request) => Request): Steadiness {
  const r = written(request)
  const before = rank(r).ranked
  const after = rank(stray(r)).ranked
  const scoreAfter = new Map(after.map(j => [j.finish.id, j.score]))
  const first = before[0]!
  const lead = first.score - before[1]!.score
  const ids = (list: typeof before) => list.map(j => j.finish.id)
  const still = after[0]!.score - scoreAfter.get(first.finish.id)! <= NOISE
  return {
    tau: kendallTau(ids(before), ids(after)),
    kept: still || lead <= NOISE,
    shifts: before
      .slice(1, 5)
      .map(j => Math.abs(first.score - j.score - (scoreAfter.get(first.finish.id)! - scoreAfter.get(j.finish.id)!))),
  }
}
