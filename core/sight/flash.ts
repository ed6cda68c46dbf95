import type { Eye } from '#core/eye/eye'
import { HEADINGS, type Heading, type LightColumn, type LightField } from '#core/light-field/lightField'
import type { Finish } from '#core/lure/finish'
import { lureType } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import type { SkyLight } from '#core/sky/light'
import { BANDS, type Spectrum } from '#core/spectrum/grid'

/**
 * Glint at which the flash number stands at a half: chrome at arm's depth in clear water under noon sun (ours; it
 * only sets the scale).
 */
const HALF_FLASH = 4000
/** Share of scattered sunlight that stays in a tight enough beam to glint. */
const KEPT_FORWARD = 0.45
/** Solid angle a facet of the little mirrors spreads the sun's image over, sr: what turns irradiance into a glint. */
const SUN_SPREAD_SR = 0.07
/**
 * A facet has to lean this far to show the window overhead, half of what lies between the level and its edge,
 * degrees.
 */
const LEAN_TO_WINDOW_DEG = 21
/**
 * Slants a part comes to as the lure works: a flank rocks a little, a blade turns; degrees, at rest and full action.
 */
const ROCKS: Partial<Record<Part, readonly [number, number]>> = { flank: [8, 26], back: [8, 26], blade: [20, 50] }
const ROCKS_ELSE: readonly [number, number] = [10, 32]

/** What there is to flash with at a depth. */
export interface Glitter {
  /** Sunlight still in its beam, as a radiance a facet would throw. */
  sun: Spectrum
  /** The window overhead. */
  window: Spectrum
  /** How far a facet must lean to throw the sun at a fish that looks that way, degrees. */
  leanDeg: Record<Heading, number>
  /** Waves send the sun from more places than one, degrees. */
  wavesDeg: number
}

const degrees = (rad: number) => (rad * 180) / Math.PI

/**
 * Light for flashes at a depth. Sunlight still in its beam fades by what is absorbed and what is scattered out of a
 * narrow cone. A facet throws the sun at a fish where its face halves the angle between the two: with the sun at the
 * fish's back it must lean least, with the sun behind the lure most.
 */
export function glitterAt({ water }: LightColumn, sky: SkyLight, field: LightField): Glitter {
  const sun = new Float64Array(BANDS)
  for (let i = 0; i < BANDS; i++) {
    const loss = water.absorption[i]! + (1 - KEPT_FORWARD) * water.scattering[i]!
    sun[i] = (sky.direct[i]! * Math.exp((-loss * field.depthM) / sky.beamMu)) / SUN_SPREAD_SR
  }
  const fromVertical = degrees(Math.acos(sky.beamMu))
  return {
    sun,
    window: field.lZen,
    leanDeg: { toward: 45 + fromVertical / 2, across: 45, away: 45 - fromVertical / 2 },
    wavesDeg: degrees(sky.waveSlope),
  }
}

/** Share of the time that a facet which rocks by `sigma` degrees leans about so far. */
const timeAt = (leanDeg: number, sigmaDeg: number) => Math.exp(-0.5 * (leanDeg / sigmaDeg) ** 2)

/**
 * Flash of a finish, 0-1: the mirror share of its parts times the sun or the bright window that its rocking facets
 * throw at the fish, as its twin cones count them; the mean over the ways it looks. Falls with cloud, depth and
 * turbidity; grows with waves and with the lure's own action.
 */
export function flashOf(
  finish: Finish,
  glitter: Glitter,
  eye: Eye,
  headings: Readonly<Record<Heading, number>>,
): number {
  const twin = eye.cones[eye.cones.length - 1]!
  const { action } = lureType(finish.lure)
  let glint = 0
  for (const p of finish.parts) {
    if (p.optics.glint <= 0) continue
    const [still, full] = ROCKS[p.part] ?? ROCKS_ELSE
    const sigma = Math.hypot(still + (full - still) * action, glitter.wavesDeg)
    let bySun = 0
    for (const h of HEADINGS) bySun += headings[h] * timeAt(glitter.leanDeg[h], sigma)
    const byWindow = timeAt(LEAN_TO_WINDOW_DEG, sigma)
    let light = 0
    let peak = 0
    for (let i = 0; i < BANDS; i++) {
      light += (bySun * glitter.sun[i]! + byWindow * glitter.window[i]!) * twin[i]! * p.optics.mirror[i]!
      peak = Math.max(peak, p.optics.mirror[i]!)
    }
    if (peak > 0) glint += ((p.share * p.optics.glint * light) / peak) * Math.min(1, peak + 0.1)
  }
  const lux = glint / 100
  return lux / (lux + HALF_FLASH)
}
