/** Refractive index of water used throughout (fresh, 20 °C, mid-visible). */
export const WATER_INDEX = 1.34

/** Half-angle of the window through which the sky is seen from below, degrees. */
export const WINDOW_DEG = (Math.asin(1 / WATER_INDEX) * 180) / Math.PI

/** Fresnel reflectance for unpolarised light from index ratio and the two cosines. */
function fresnel(cosIn: number, cosOut: number, n: number): number {
  const s = (cosIn - n * cosOut) / (cosIn + n * cosOut)
  const p = (n * cosIn - cosOut) / (n * cosIn + cosOut)
  return (s * s + p * p) / 2
}

/**
 * Share of light going up under water that the surface sends back down; 1 outside the window. `mu` = cosine from
 * vertical.
 */
export function internalReflectance(mu: number): number {
  const sin2 = (1 - mu * mu) * WATER_INDEX ** 2
  return sin2 >= 1 ? 1 : fresnel(Math.sqrt(1 - sin2), mu, WATER_INDEX)
}

/** Cosine from vertical of a sunbeam under water, from the sun's height in degrees (Snell). */
export function refractedMu(sunElevationDeg: number): number {
  const cosAir = Math.sin((Math.max(0, sunElevationDeg) * Math.PI) / 180)
  return Math.sqrt(1 - (1 - cosAir * cosAir) / WATER_INDEX ** 2)
}

/** Share of direct sunlight that a calm surface lets in, by the sun's height in degrees (Fresnel). */
export function surfaceTransmittance(sunElevationDeg: number): number {
  const cosAir = Math.sin((Math.max(0.5, sunElevationDeg) * Math.PI) / 180)
  return 1 - fresnel(cosAir, Math.sqrt(1 - (1 - cosAir * cosAir) / WATER_INDEX ** 2), WATER_INDEX)
}
