import { internalReflectance } from '#core/sky/surface'
import type { Phase } from './phase'
import type { ByHeading, LightAt } from './solver'

/**
 * The same light by following photons one by one (Mobley 1994, Light and Water, ch. 6): slow and never quite still,
 * but it shares nothing with the solver but the sea's own properties, and says how far off it may be.
 */

/** Half the thickness of the layer in which path lengths are counted, optical depths: its tilt cancels out. */
const HALF_LAYER = 0.05
/** A photon so deep seldom comes back to where the light is counted, optical depths below it. */
const LOST = 12
/** A photon of less weight is played for: a few go on with the weight of all. */
const LIGHT_WEIGHT = 0.05
const PLAYED = 5
/** The count is made in so many parts, whose spread is the error. */
const PARTS = 20

/** Henyey-Greenstein's phase function, per steradian. */
const perSteradian = (g: number, cosine: number) => (1 - g * g) / (4 * Math.PI * (1 + g * g - 2 * g * cosine) ** 1.5)

/** A cosine of the scattering angle drawn from it (Henyey & Greenstein 1941, inverted). */
const scattered = (g: number, chance: () => number) => {
  const q = (1 - g * g) / (1 - g + 2 * g * chance())
  return (1 + g * g - q * q) / (2 * g)
}

type Direction = readonly [x: number, y: number, z: number]

/** A direction turned by an angle of that cosine, about a bearing of chance. */
function turned([x, y, z]: Direction, cosine: number, chance: () => number): Direction {
  const sine = Math.sqrt(Math.max(0, 1 - cosine * cosine))
  const bearing = 2 * Math.PI * chance()
  const [u, v] = [sine * Math.cos(bearing), sine * Math.sin(bearing)]
  const level = Math.sqrt(Math.max(0, 1 - z * z))
  if (level < 1e-6) return [u, v, z > 0 ? cosine : -cosine]
  return [(x * z * u - y * v) / level + x * cosine, (y * z * u + x * v) / level + y * cosine, z * cosine - u * level]
}

const COUNTED = ['ed', 'eu', 'e0', 'toward', 'across', 'away', 'lhToward', 'lhAcross', 'lhAway'] as const
type Count = Record<(typeof COUNTED)[number], number>
const nothing = () => Object.fromEntries(COUNTED.map(k => [k, 0])) as Count

/** Follow one photon of a beam through particles of asymmetry g, and count what it does about the depth tau. */
function follow(count: Count, g: number, omega: number, tau: number, mu: number, chance: () => number): void {
  const half = Math.min(HALF_LAYER, tau)
  let way: Direction = [Math.sqrt(1 - mu * mu), 0, mu]
  let at = 0
  let weight = 1
  const pass = (from: number, to: number) => {
    const [top, foot] = [Math.max(Math.min(from, to), tau - half), Math.min(Math.max(from, to), tau + half)]
    const [x, y, z] = way
    if (foot <= top) return
    const path = (weight * (foot - top)) / Math.abs(z) / (2 * half)
    count.e0 += path
    if (z > 0) count.ed += path * z
    else count.eu -= path * z
    if (x > 0) count.toward += path * x
    else count.away -= path * x
    // Either face across has half of it, by symmetry.
    count.across += (path * Math.abs(y)) / 2
    // Level, radiance is its own source: what is scattered into that way within the layer.
    count.lhToward += path * omega * perSteradian(g, x)
    count.lhAcross += (path * omega * (perSteradian(g, y) + perSteradian(g, -y))) / 2
    count.lhAway += path * omega * perSteradian(g, -x)
  }
  while (at < tau + LOST) {
    const free = -Math.log(1 - chance())
    let to = at + free * way[2]
    if (to < 0) {
      pass(at, 0)
      weight *= internalReflectance(-way[2])
      to *= -1
      way = [way[0], way[1], -way[2]]
      at = 0
    }
    pass(at, to)
    at = to
    weight *= omega
    if (weight < LIGHT_WEIGHT) {
      if (chance() > 1 / PLAYED) return
      weight *= PLAYED
    }
    way = turned(way, scattered(g, chance), chance)
  }
}

/** What is counted per photon, and its standard error as a share of it. */
export interface Followed {
  light: Pick<LightAt, 'ed' | 'eu' | 'e0'> & Record<'eSide' | 'lh', Omit<ByHeading, 'mean'>>
  error: Followed['light']
}

const shaped = (c: Count): Followed['light'] => ({
  ed: c.ed,
  eu: c.eu,
  e0: c.e0,
  eSide: { toward: c.toward, across: c.across, away: c.away },
  lh: { toward: c.lhToward, across: c.lhAcross, away: c.lhAway },
})

/**
 * Light at an optical depth `tau` under a beam of cosine `mu`, per unit of irradiance let in.
 * @param phase particles alone: no share of Rayleigh's
 * @param omega albedo of single scattering, 0 to below 1
 * @param photons how many are followed; the error falls as their square root
 */
export function followPhotons(
  { g }: Phase,
  omega: number,
  { tau, mu }: { tau: number; mu: number },
  photons: number,
  chance: () => number,
): Followed {
  const each = Math.ceil(photons / PARTS)
  const parts = Array.from({ length: PARTS }, () => {
    const count = nothing()
    for (let i = 0; i < each; i++) follow(count, g, omega, tau, mu, chance)
    return count
  })
  const [light, error] = [nothing(), nothing()]
  for (const k of COUNTED) {
    const mean = parts.reduce((s, p) => s + p[k], 0) / PARTS
    const spread = Math.sqrt(parts.reduce((s, p) => s + (p[k] - mean) ** 2, 0) / (PARTS - 1) / PARTS)
    light[k] = mean / each
    error[k] = spread / mean
  }
  return { light: shaped(light), error: shaped(error) }
}
