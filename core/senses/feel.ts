import type { Shake } from '#core/lure/manner'
import type { Wind } from '#core/sky/weather'

/** Low and high of a range, m. */
export interface Span {
  lowM: number
  highM: number
}

/** Length of the fish that the ranges are given for, m. */
export const FISH_LENGTH_M = 0.4
/** Beyond so many of its lengths fish and water move together, and it feels nothing (Denton & Gray 1983). */
const LENGTHS_FELT = 2
/**
 * Flow past the skin that is just felt, m/s: in still water, and masked by chop or current (Coombs & Montgomery 1999,
 * reviewing lateral lines; the spread is theirs, the masking ours).
 */
const JUST_FELT_MPS = { still: [0.04e-3, 0.4e-3], broken: [0.4e-3, 2e-3] } as const

/** Chop, or water that runs, masks. */
export const isBroken = (wind: Wind, runs: boolean) => runs || wind === 'chop' || wind === 'strong'

/**
 * From how far a fish feels a lure by its lateral line. A body of radius a that beats with amplitude A, f times a
 * second, moves at U = 2π f A; the flow of a dipole falls as U (a/r)³ (Kalmijn 1988), so that it is felt to
 * a (U/u)^(1/3), at most two of the fish's lengths. An error of ten in the threshold is one of 2.15 in the range.
 * @returns m, of the shake's weakest against the dullest fish to its strongest against the keenest
 */
export function feltRange({ radiusM, amplitudeM, frequencyHz }: Shake, broken: boolean, fishM = FISH_LENGTH_M): Span {
  const [keen, dull] = JUST_FELT_MPS[broken ? 'broken' : 'still']
  const reach = (end: 0 | 1, just: number) => {
    const speed = 2 * Math.PI * frequencyHz[end] * amplitudeM[end]
    return Math.min(LENGTHS_FELT * fishM, radiusM[end] * Math.cbrt(speed / just))
  }
  return { lowM: reach(0, dull), highM: reach(1, keen) }
}
