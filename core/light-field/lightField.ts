import { COLUMN, COLUMNS, type Spot, addLight } from '#core/light-field/table'
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
}

/** Step below the depth over which the decay is measured, as optical depth. */
const PROBE_TAU = 0.2

/** A spot in the water for one band: albedo, optical depth, backscatter share. */
const spotAt = (water: WaterOptics, band: number, depthM: number): Spot => {
  const c = water.beam[band]!
  return { omega: water.scattering[band]! / c, tau: c * depthM, share: water.back[band]! / water.scattering[band]! }
}

function addSky(out: Float64Array, spot: Spot, sky: SkyLight, band: number): void {
  out.fill(0)
  if (sky.direct[band]! > 0) addLight(out, spot, sky.beamMu, sky.direct[band]!)
  addLight(out, spot, null, sky.diffuse[band]!)
}

/**
 * The light field at a depth in uniform deep water under a sky, from the radiative transfer table.
 * @param depthM depth of the lure, m, 0 or more
 */
export function lightField(water: WaterOptics, sky: SkyLight, depthM: number): LightField {
  const f: LightField = {
    depthM,
    ed: new Float64Array(BANDS),
    eu: new Float64Array(BANDS),
    eSide: new Float64Array(BANDS),
    lh: new Float64Array(BANDS),
    lZen: new Float64Array(BANDS),
    lNad: new Float64Array(BANDS),
  }
  const here = new Float64Array(COLUMNS)
  for (let i = 0; i < BANDS; i++) {
    addSky(here, spotAt(water, i, depthM), sky, i)
    f.ed[i] = here[COLUMN.ed]!
    f.eu[i] = here[COLUMN.eu]!
    f.eSide[i] = here[COLUMN.eSide]!
    f.lh[i] = here[COLUMN.lh]!
    f.lZen[i] = here[COLUMN.lZen]!
    f.lNad[i] = here[COLUMN.lNad]!
  }
  return f
}

/** Diffuse decay of the downward light just below a depth, per metre, 0 to c; asks the table once more in each band. */
export function diffuseDecay(water: WaterOptics, sky: SkyLight, field: LightField): Spectrum {
  const below = new Float64Array(COLUMNS)
  return field.ed.map((ed, i) => {
    const c = water.beam[i]!
    const spot = spotAt(water, i, field.depthM)
    addSky(below, { ...spot, tau: spot.tau + PROBE_TAU }, sky, i)
    const deeper = below[COLUMN.ed]!
    const drop = ed > 0 && deeper > 0 ? Math.log(ed / deeper) : PROBE_TAU
    return Math.min(c, Math.max(0, (drop / PROBE_TAU) * c))
  })
}
