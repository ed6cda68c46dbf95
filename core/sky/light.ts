import { DIFFUSE_TRANSMITTANCE, refractedMu, surfaceTransmittance } from '#core/sky/surface'
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
  direct: Spectrum
  diffuse: Spectrum
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

/** Colour of direct sunlight by height, K: white at noon, yellow low (CIE daylight range). */
const sunCct = (elevationDeg: number) => 4000 + 1600 * Math.min(1, Math.max(0, elevationDeg) / 35)

/** Share of clear daylight that comes straight from the sun, by its height (after Kasten & Czeplak 1980; ±0.1). */
function directShare(elevationDeg: number): number {
  return elevationDeg <= 0 ? 0 : 0.88 * (1 - Math.exp(-elevationDeg / 12))
}

const DAY_SKY = quanta(daylightEnergy(12000))
const CLOUD = quanta(daylightEnergy(6500))
const TWILIGHT = quanta(daylightEnergy(20000))
const MOONLIGHT = quanta(daylightEnergy(4200))
const STARS = quanta(daylightEnergy(5000))
const LAMP = quanta(planckEnergy(2900))

function addScaled(into: Spectrum, shape: Spectrum, lux: number): void {
  if (lux <= 0) return
  const k = lux / luminanceOfQuanta(shape)
  for (let i = 0; i < BANDS; i++) into[i]! += k * shape[i]!
}

/**
 * Daylight, twilight, moon, stars and lamps as two spectra under the surface. Clouds pass 1 - 0.75 n^3.4 of the light
 * (Kasten & Czeplak 1980) and take away direct sun in proportion to their cover; rain halves what is left.
 */
export function skyLight(sky: SkyInput): SkyLight {
  const canopy = CANOPIES[sky.canopy]
  const wind = WINDS[sky.wind]
  const clear = clearSkyLux(sky.sunElevationDeg)
  const pass = (1 - 0.75 * sky.cloud ** 3.4) * (sky.rain ? 0.5 : 1)
  const sunAndSky = clear > STARLIGHT_LUX ? clear * pass : 0
  const sun = Math.min(clear * directShare(sky.sunElevationDeg) * (1 - sky.cloud), sunAndSky)
  const sky0 = sunAndSky - sun

  const direct = new Float64Array(BANDS)
  const diffuse = new Float64Array(BANDS)
  const directLux = sun * canopy.direct * surfaceTransmittance(sky.sunElevationDeg)
  addScaled(direct, quanta(daylightEnergy(sunCct(sky.sunElevationDeg))), directLux)

  const let0 = canopy.diffuse * DIFFUSE_TRANSMITTANCE
  const twilight = Math.min(1, Math.max(0, (4 - sky.sunElevationDeg) / 8))
  addScaled(diffuse, CLOUD, sky0 * let0 * sky.cloud)
  addScaled(diffuse, TWILIGHT, sky0 * let0 * (1 - sky.cloud) * twilight)
  addScaled(diffuse, DAY_SKY, sky0 * let0 * (1 - sky.cloud) * (1 - twilight))
  const moon = moonLux(sky.moonFraction, sky.moonElevationDeg) * pass
  addScaled(diffuse, MOONLIGHT, moon * let0)
  addScaled(diffuse, STARS, STARLIGHT_LUX * pass * let0)
  // Lamps stand at the dock itself, under whatever canopy there is.
  const lamps = sky.lamps ? LAMP_LUX : 0
  addScaled(diffuse, LAMP, lamps * DIFFUSE_TRANSMITTANCE)

  return {
    direct,
    diffuse,
    beamMu: refractedMu(sky.sunElevationDeg),
    lux: sun * canopy.direct + (sky0 + moon + STARLIGHT_LUX * pass) * canopy.diffuse + lamps,
    lampLux: lamps,
    directLux,
    waveSlope: wind.slope,
  }
}
