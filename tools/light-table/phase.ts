import { backscatterShare } from '#core/water/backscatter'

/**
 * How one kind of water scatters: Henyey-Greenstein particles of asymmetry g, and a share of the scattering that is
 * Rayleigh's, as water's own molecules throw it, half of it backwards.
 */
export interface Phase {
  g: number
  rayleigh: number
}

/** Share of the light scattered that goes backwards. */
export const backOf = ({ g, rayleigh }: Phase) =>
  (1 - rayleigh) * (g === 0 ? 0.5 : backscatterShare(g)) + 0.5 * rayleigh

/** Legendre moment of degree l, 1 at degree 0. */
export const moment = ({ g, rayleigh }: Phase, l: number) =>
  (1 - rayleigh) * (l === 0 ? 1 : g ** l) + rayleigh * (l === 0 ? 1 : l === 2 ? 0.1 : 0)

/** The phase function at a cosine of the scattering angle; its mean over the sphere is 1. */
export const phaseAt = ({ g, rayleigh }: Phase, cosine: number) =>
  (1 - rayleigh) * ((1 - g * g) / (1 + g * g - 2 * g * cosine) ** 1.5) + rayleigh * 0.75 * (1 + cosine * cosine)
