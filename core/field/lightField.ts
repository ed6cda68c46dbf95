import { COLUMN, COLUMNS, addLight } from '#core/field/table'
import type { SkyLight } from '#core/sky/light'
import { BANDS, type Spectrum } from '#core/spectrum/grid'
import type { WaterOptics } from '#core/water/optics'

/** Light at one depth, spectra of quanta: irradiances, and radiances per steradian. */
export interface LightField {
  depthM: number
  /** Downward irradiance. */
  ed: Spectrum
  /** Upward irradiance. */
  eu: Spectrum
  /** Irradiance on an upright face, mean over headings. */
  eSide: Spectrum
  /** Radiance seen looking level, up inside the window, and down. */
  lh: Spectrum
  lZen: Spectrum
  lNad: Spectrum
  /** Diffuse decay of the downward light, per metre. */
  k: Spectrum
}

/** Step below the depth over which the decay is measured, as optical depth. */
const PROBE_TAU = 0.2

/**
 * The light field at a depth in uniform deep water under a sky, from the radiative transfer table.
 * @param depthM depth of the lure, m, 0 or more
 */
export function lightField(water: WaterOptics, sky: SkyLight, depthM: number): LightField {
  const f: LightField = {
    depthM,
    ed: new Float64Array(BANDS), eu: new Float64Array(BANDS), eSide: new Float64Array(BANDS),
    lh: new Float64Array(BANDS), lZen: new Float64Array(BANDS), lNad: new Float64Array(BANDS), k: new Float64Array(BANDS),
  }
  const here = new Float64Array(COLUMNS)
  const below = new Float64Array(COLUMNS)
  for (let i = 0; i < BANDS; i++) {
    const c = water.beam[i]!
    const spot = { omega: water.scattering[i]! / c, tau: c * depthM, share: water.back[i]! / water.scattering[i]! }
    const deeper = { ...spot, tau: spot.tau + PROBE_TAU }
    here.fill(0)
    below.fill(0)
    for (const [out, at] of [[here, spot], [below, deeper]] as const) {
      if (sky.direct[i]! > 0) addLight(out, at, sky.beamMu, sky.direct[i]!)
      addLight(out, at, null, sky.diffuse[i]!)
    }
    f.ed[i] = here[COLUMN.ed]!
    f.eu[i] = here[COLUMN.eu]!
    f.eSide[i] = here[COLUMN.eSide]!
    f.lh[i] = here[COLUMN.lh]!
    f.lZen[i] = here[COLUMN.lZen]!
    f.lNad[i] = here[COLUMN.lNad]!
    const drop = here[COLUMN.ed]! > 0 && below[COLUMN.ed]! > 0 ? Math.log(here[COLUMN.ed]! / below[COLUMN.ed]!) : PROBE_TAU
    f.k[i] = Math.min(c, Math.max(0, drop / PROBE_TAU * c))
  }
  return f
}
