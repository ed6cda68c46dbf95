/**
 * Illuminance on open level ground from the sun and sky, clear weather, by the sun's height; and from the moon.
 * Source: Explanatory Supplement to the Astronomical Almanac (Seidelmann 1992), section 9.34: cubic fits of
 * log10 lux in x = height/90. Good to about 15 % above the horizon and 30 % in twilight.
 */
const SUN_FITS: readonly { fromDeg: number; l: readonly [number, number, number, number] }[] = [
  { fromDeg: 20, l: [3.74, 3.97, -4.07, 1.47] },
  { fromDeg: 5, l: [3.05, 13.28, -45.98, 64.33] },
  { fromDeg: -0.8, l: [2.88, 22.26, -207.64, 1034.3] },
  { fromDeg: -5, l: [2.88, 21.81, -258.11, -858.36] },
  { fromDeg: -12, l: [2.7, 12.17, -431.69, -1899.83] },
  { fromDeg: -18, l: [13.84, 262.72, 1447.42, 2797.93] },
]

/** Starlight and airglow with no moon, lux (same source). */
export const STARLIGHT_LUX = 8e-4

/** A full moon overhead, lux (same source). */
const FULL_MOON_LUX = 0.27

/** Lux from sun and sky in clear weather; never below starlight. Never falls as the sun rises. */
export function clearSkyLux(sunElevationDeg: number): number {
  const x = sunElevationDeg / 90
  const fit = SUN_FITS.find(f => sunElevationDeg >= f.fromDeg)
  if (!fit) return STARLIGHT_LUX
  const [l0, l1, l2, l3] = fit.l
  return Math.max(STARLIGHT_LUX, 10 ** (l0 + l1 * x + l2 * x ** 2 + l3 * x ** 3))
}

/**
 * Lux from the moon: lit share 0-1, height in degrees. The fall with phase is steeper than the lit share (same
 * source).
 */
export function moonLux(fraction: number, elevationDeg: number): number {
  if (elevationDeg <= 0 || fraction <= 0) return 0
  const phaseDeg = (Math.acos(2 * Math.min(1, fraction) - 1) * 180) / Math.PI
  const dimming = 10 ** (-8.68e-3 * phaseDeg - 2.2e-9 * phaseDeg ** 4)
  return FULL_MOON_LUX * dimming * Math.sin((elevationDeg * Math.PI) / 180) ** 1.3
}
