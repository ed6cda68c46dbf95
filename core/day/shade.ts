import type { Bank } from '#core/day/request'

const RADIANS = Math.PI / 180

/**
 * How far a bank's shadow reaches out over the water, m, measured square to the bank: height / tan(sun) times the
 * cosine of the angle between the shadow and the way the bank looks (plane trigonometry; the sun taken as a point).
 * Nothing where the sun stands over the water, all of it once the sun is down; never wider than the water.
 */
export function shadeM({ facingDeg, heightM, acrossM }: Bank, sunElevationDeg: number, sunBearingDeg: number): number {
  if (sunElevationDeg <= 0) return acrossM
  const lengthM = heightM / Math.tan(sunElevationDeg * RADIANS)
  const outM = -lengthM * Math.cos((sunBearingDeg - facingDeg) * RADIANS)
  return Math.min(acrossM, Math.max(0, outM))
}

/** The bank across the water, of the height given. */
export const acrossFrom = (bank: Bank, heightM = bank.heightM): Bank => ({
  ...bank,
  facingDeg: (bank.facingDeg + 180) % 360,
  heightM,
})
