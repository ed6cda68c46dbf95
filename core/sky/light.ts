import { clearSkyEnergy } from '#core/sky/clearSky'
import { SKY_SHAPES, type SkyShape, skyTransmittance } from '#core/sky/shapes'
import { refractedMu, surfaceTransmittance } from '#core/sky/surface'
import { CANOPIES, type Canopy, WINDS, type Wind } from '#core/sky/weather'
import { STARLIGHT_LUX, clearSkyLux, moonLux } from '#core/sky/illuminance'
import { luminanceOfQuanta } from '#core/spectrum/colour'
import { daylightEnergy, planckEnergy, quanta } from '#core/spectrum/daylight'
import { BANDS, type Spectrum } from '#core/spectrum/grid'

export interface SkyInput {
  sunElevationDeg: number
  /** Cloud cover, 0-1. */
  cloud: number
  rain: boolean
  wind: Wind
  canopy: Canopy
  /** Lit share of the moon, 0-1. */
  moonFraction: number
  /** Height of the moon, degrees. */
  moonElevationDeg: number
  /** Dock or street lamps near by. */
  lamps: boolean
}

/** Light let in by the surface: spectra of quanta scaled so that their luminance weight is lux. */
export interface SkyLight {
  /** The beam of the sun, or of the moon where that is brighter. */
  direct: Spectrum
  /** Light from all over the sky, by how it is spread. */
  diffuse: Record<SkyShape, Spectrum>
  /** Cosine from vertical of the direct light under water. */
  beamMu: number
  /** Lux just above the surface under the canopy. */
  lux: number
  /** The part of it that lamps give. */
  lampLux: number
  /** Lux of direct sun just under the surface: what glints are made of. */
  directLux: number
  /** Rms wave slope. */
  waveSlope: number
}

/** A lit dock or street lamp a few metres off, lux on the water. */
const LAMP_LUX = 8

/** Share of clear daylight that comes straight from the sun, by its height (after Kasten & Czeplak 1980; ±0.1). */
function directShare(elevationDeg: number): number {
  return elevationDeg <= 0 ? 0 : 0.88 * (1 - Math.exp(-elevationDeg / 12))
}

const CLOUD = quanta(daylightEnergy(6500))
const TWILIGHT = quanta(daylightEnergy(20000))
const MOONLIGHT = quanta(daylightEnergy(4200))
const STARS = quanta(daylightEnergy(5000))
const LAMP = quanta(planckEnergy(2900))
const LET_IN = Object.fromEntries(SKY_SHAPES.map(k => [k, skyTransmittance(k)])) as Record<SkyShape, number>

function addScaled(into: Spectrum, shape: Spectrum, lux: number): void {
  if (lux <= 0) return
  const k = lux / luminanceOfQuanta(shape)
  for (let i = 0; i < BANDS; i++) into[i]! += k * shape[i]!
}

/** A share by height of the sun: all at `from` and lower, none at `to`, degrees. */
const fading = (elevationDeg: number, from: number, to: number) =>
  Math.min(1, Math.max(0, (to - elevationDeg) / (to - from)))

/**
 * Daylight, twilight, moon, stars and lamps as a beam and two skies under the surface. Clouds pass 1 - 0.75 n^3.4 of
 * the light (Kasten & Czeplak 1980) and take away direct sun in proportion to their cover; rain halves what is left.
 * Of sun and moon the brighter is the beam; the other's little counts with the sky.
 */
export function skyLight(sky: SkyInput): SkyLight {
  const canopy = CANOPIES[sky.canopy]
  const wind = WINDS[sky.wind]
  const pass = (1 - 0.75 * sky.cloud ** 3.4) * (sky.rain ? 0.5 : 1)
  // The fits for twilight run out into starlight, which is counted on its own.
  const sunAndSky = Math.max(0, clearSkyLux(sky.sunElevationDeg) - STARLIGHT_LUX) * pass
  const sun = Math.min(clearSkyLux(sky.sunElevationDeg) * directShare(sky.sunElevationDeg) * (1 - sky.cloud), sunAndSky)
  const sky0 = sunAndSky - sun
  const moon = moonLux(sky.moonFraction, sky.moonElevationDeg) * pass
  const moonBeam = moon * (1 - sky.cloud)
  const stars = STARLIGHT_LUX * pass
  const byMoon = moonBeam > sun

  const direct = new Float64Array(BANDS)
  const diffuse = { overcast: new Float64Array(BANDS), clear: new Float64Array(BANDS) }
  const add = (shape: SkyShape, spectrum: Spectrum, lux: number) =>
    addScaled(diffuse[shape], spectrum, lux * LET_IN[shape])
  const { direct: sunColour, diffuse: skyColour } = clearSkyEnergy(sky.sunElevationDeg)
  const beamDeg = byMoon ? sky.moonElevationDeg : sky.sunElevationDeg
  const directLux = (byMoon ? moonBeam : sun) * canopy.direct * surfaceTransmittance(beamDeg)
  addScaled(direct, byMoon ? MOONLIGHT : quanta(sunColour), directLux)

  const twilight = fading(sky.sunElevationDeg, -4, 4)
  add('overcast', CLOUD, sky0 * canopy.diffuse * sky.cloud)
  add('clear', TWILIGHT, sky0 * canopy.diffuse * (1 - sky.cloud) * twilight)
  add('clear', quanta(skyColour), sky0 * canopy.diffuse * (1 - sky.cloud) * (1 - twilight))
  add('clear', MOONLIGHT, (byMoon ? moon - moonBeam : moon) * canopy.diffuse)
  add('clear', STARS, stars * canopy.diffuse)
  if (byMoon) add('clear', quanta(skyColour), sun * canopy.diffuse)
  // Lamps stand at the dock itself, under whatever canopy there is.
  const lamps = sky.lamps ? LAMP_LUX : 0
  add('overcast', LAMP, lamps)

  const beamLux = byMoon ? moonBeam : sun
  return {
    direct,
    diffuse,
    beamMu: refractedMu(beamDeg),
    lux: beamLux * canopy.direct + (sky0 + sun + moon - beamLux + stars) * canopy.diffuse + lamps,
    lampLux: lamps,
    directLux,
    waveSlope: wind.slope,
  }
}
