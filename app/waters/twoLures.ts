import { paintReflectance } from '#core/paintwork/paints'
import { type TwoTargetReading, waterFromTwoTargets } from '#core/reading/twoTargets'
import { withLightTable } from '~/screen/lightTable'

/** Depths at which a white and a black lure were lost, m, and whether the water is salt. */
export interface TwoLures {
  whiteM: number
  blackM: number
  salt: boolean
}

const [WHITE, BLACK] = [paintReflectance('white'), paintReflectance('black')]

/** The water two lures tell of: heavy work the first time, since thousands of waters are tried. */
export async function workTwoLures({ whiteM, blackM, salt }: TwoLures): Promise<TwoTargetReading> {
  await withLightTable()
  return waterFromTwoTargets({ target: WHITE, depthM: whiteM }, { target: BLACK, depthM: blackM }, salt)
}
