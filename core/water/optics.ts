import { ALGAE_ABSORPTION_SHAPE, PURE_WATER_ABSORPTION } from '#core/data/water'
import { BANDS, type Spectrum, spectrumOf, tabulated } from '#core/spectrum/grid'
import type { Constituents } from '#core/water/tints'

/** Inherent optical properties, per metre on the grid. */
export interface WaterOptics {
  absorption: Spectrum
  scattering: Spectrum
  /** Backscattering. */
  back: Spectrum
  /** Beam attenuation: absorption + scattering. */
  beam: Spectrum
  salt: boolean
}

const PURE = tabulated(PURE_WATER_ABSORPTION)
const ALGAE = tabulated(ALGAE_ABSORPTION_SHAPE)
const WATER_SCATTER = spectrumOf(nm => (550 / nm) ** 4.3)
const ALGAE_SCATTER = spectrumOf(nm => 550 / nm)
/** CDOM slope 0.0155 /nm (Bricaud, Morel & Prieur 1981 give 0.014 ± 0.003). */
const TANNIN = spectrumOf(nm => Math.exp(-0.0155 * (nm - 440)))
const SILT_ABSORB = spectrumOf(nm => 0.041 * Math.exp(-0.0115 * (nm - 440)))
const SILT_SCATTER = spectrumOf(nm => 0.6 * (555 / nm) ** 0.5)

/** Share of scattered light thrown backwards: half by water itself, little by particles. */
export const BACK_SHARE = { water: 0.5, algae: 0.01, silt: 0.018 } as const

/**
 * Absorption and scattering from what is in the water. Water: Pope & Fry 1997; scattering 0.0017 (fresh) or 0.0019
 * (salt) at 550 nm, λ^-4.3. Algae: 0.0403 C^0.668 (Bricaud et al. 1995), 0.30 C^0.62 (Gordon & Morel 1983). Tannin
 * absorbs only. Silt: 0.041 T exp(-0.0115(λ-440)), 0.6 T (555/λ)^0.5.
 */
export function waterOptics(amounts: Constituents, salt: boolean): WaterOptics {
  const { chlorophyll: c, tannin, silt } = amounts
  const algaeA = 0.0403 * c ** 0.668
  const algaeB = 0.3 * c ** 0.62
  const waterB = salt ? 0.0019 : 0.0017
  const out: WaterOptics = {
    absorption: new Float64Array(BANDS),
    scattering: new Float64Array(BANDS),
    back: new Float64Array(BANDS),
    beam: new Float64Array(BANDS),
    salt,
  }
  for (let i = 0; i < BANDS; i++) {
    const a = PURE[i]! + algaeA * ALGAE[i]! + tannin * TANNIN[i]! + silt * SILT_ABSORB[i]!
    const bw = waterB * WATER_SCATTER[i]!
    const ba = algaeB * ALGAE_SCATTER[i]!
    const bs = silt * SILT_SCATTER[i]!
    out.absorption[i] = a
    out.scattering[i] = bw + ba + bs
    out.back[i] = BACK_SHARE.water * bw + BACK_SHARE.algae * ba + BACK_SHARE.silt * bs
    out.beam[i] = a + bw + ba + bs
  }
  return out
}
