import { LightColumn } from '#core/light-field/lightField'
import { COLUMN } from '#core/light-field/table'
import { type SkyLight, skyLight } from '#core/sky/light'
import { YBAR } from '#core/spectrum/colour'
import { BANDS, type Spectrum, WAVELENGTHS_NM, bandAt } from '#core/spectrum/grid'
import { type WaterOptics, waterOptics } from '#core/water/optics'
import { type Constituents, type Recipe, scaled } from '#core/water/tints'

/** Reflectance of a matte white disc. */
export const WHITE_DISC = 0.85
/** Contrast at which a person looking down through the surface loses a target (light-model section 8, point 1). */
const HUMAN_CONTRAST = 0.0125
/** Every third band: the luminance integrals stay within half a per cent, three times as fast. */
export const EYE_BANDS = Array.from({ length: 10 }, (_, i) => 2 + 3 * i).filter(b => b < BANDS)
export const EYE = EYE_BANDS.map(b => (YBAR[b]! * 560) / WAVELENGTHS_NM[b]!)
/** Depths between which a target can vanish, m. */
const LN_DEPTHS = [Math.log(0.005), Math.log(120)] as const
/** Amounts of a recipe searched between, as logarithms. */
const LN_AMOUNTS = [Math.log(1e-7), Math.log(1e4)] as const
/** Depths and amounts are found to this share of themselves. */
const TOLERANCE = 1e-4

/**
 * The sky under which a reading is taken: sun half way up, few clouds. A reading hangs on it by a few per cent, and
 * what it was taken under is seldom known.
 */
const READING_SKY: SkyLight = skyLight({
  sunElevationDeg: 50,
  cloud: 0.1,
  rain: false,
  wind: 'calm',
  canopy: 'open',
  moonFraction: 0,
  moonElevationDeg: 0,
  lamps: false,
})

/**
 * A measure of how plainly a target let down to a depth shows to a photopic human eye that looks straight down through
 * the surface, nought at the threshold: the logarithm of |Σ V (R Ed(z)/π - L_nad(z)) exp(-c z)| / Σ V L_nad(0), over
 * 0.0125 (light-model section 8, point 1; contrast transfer by Duntley 1963). The surface's own glare is left out:
 * anglers look past it.
 */
function plainness(column: LightColumn, target: number | Spectrum): (depthM: number) => number {
  const behind = EYE_BANDS.reduce((s, b, i) => s + EYE[i]! * column.value(b, 0, COLUMN.lNad), 0)
  return depthM => {
    const seen = EYE_BANDS.reduce((sum, b, i) => {
      const r = typeof target === 'number' ? target : target[b]!
      const step = (r * column.value(b, depthM, COLUMN.ed)) / Math.PI - column.value(b, depthM, COLUMN.lNad)
      return sum + EYE[i]! * step * Math.exp(-column.water.beam[b]! * depthM)
    }, 0)
    return Math.log(Math.max(1e-12, Math.abs(seen) / behind / HUMAN_CONTRAST))
  }
}

/**
 * Where a falling function crosses nought between two ends, searched outwards from a guess; an end where it does not.
 * Once the crossing is bracketed, regula falsi with the Illinois rule: some four looks where halving needs twenty.
 */
function crossing(f: (x: number) => number, guess: number, ends: readonly [number, number]): number {
  const [low, high] = ends
  let a = Math.min(high, Math.max(low, guess))
  let fa = f(a)
  let b = a
  let fb = fa
  for (let step = fa > 0 ? 0.4 : -0.4; ; step *= 2) {
    if (step > 0 ? b >= high : b <= low) return b
    a = b
    fa = fb
    b = Math.min(high, Math.max(low, b + step))
    fb = f(b)
    if (fa > 0 !== fb > 0) break
  }
  for (let i = 0; i < 40 && Math.abs(b - a) > TOLERANCE; i++) {
    const x = (a * fb - b * fa) / (fb - fa)
    const fx = f(x)
    if (Math.abs(fx) < TOLERANCE) return x
    if (fx > 0 === fb > 0) fa /= 2
    else {
      a = b
      fa = fb
    }
    b = x
    fb = fx
  }
  return b
}

/** A first guess at a disc depth: some six beam attenuation lengths in green light, m. */
const usualDepthM = (w: WaterOptics) => 6 / w.beam[bandAt(550)]!

/** Column of a water under the sky of a reading. */
export const readingColumn = (w: WaterOptics) => new LightColumn(w, READING_SKY)

/**
 * Depth at which a target lowered from a boat vanishes to a person, m, 0.005-120: where it stands out by the
 * threshold for the last time.
 * @param target reflectance of the target seen from above, 0-1, or its spectrum; the white disc by default
 */
export function vanishingDepthM(column: LightColumn, target: number | Spectrum = WHITE_DISC): number {
  const over = plainness(column, target)
  return Math.exp(crossing(lnM => over(Math.exp(lnM)), Math.log(usualDepthM(column.water)), LN_DEPTHS))
}

/**
 * How much of a recipe makes a target vanish at a given depth: the depth falls as the amount grows. Held at the ends
 * where even pure water, or the thickest soup, will not do.
 */
export function amountFor(
  recipe: Recipe,
  salt: boolean,
  depthM: number,
  target: number | Spectrum = WHITE_DISC,
): number {
  const over = (lnAmount: number) => {
    const column = readingColumn(waterOptics(scaled(recipe, Math.exp(lnAmount)), salt))
    return plainness(column, target)(depthM)
  }
  return Math.exp(crossing(over, -1.1 * Math.log(depthM), LN_AMOUNTS))
}

/** What is in the water of a tint in which a white disc vanishes at a depth (m). */
export const constituentsFromReading = (recipe: Recipe, salt: boolean, discM: number): Constituents =>
  scaled(recipe, amountFor(recipe, salt, discM))

/** Readings seldom change while a finger is on something else: so many waters are remembered. */
const MOST_KNOWN = 64
const waters = new Map<Recipe, Map<string, WaterOptics>>()

/** The water of a tint in which a white disc vanishes at a depth (m). */
export function waterFromReading(recipe: Recipe, salt: boolean, discM: number): WaterOptics {
  let known = waters.get(recipe)
  if (!known) waters.set(recipe, (known = new Map()))
  const key = `${salt} ${discM}`
  let water = known.get(key)
  if (!water) {
    if (known.size >= MOST_KNOWN) known.clear()
    known.set(key, (water = waterOptics(constituentsFromReading(recipe, salt, discM), salt)))
  }
  return water
}
