import { pigment } from '#core/eye/pigment'
import type { Species } from '#core/eye/species'
import type { Spectrum } from '#core/spectrum/grid'

/** An eye ready to look: sensitivities per quantum, cones short to long, then the rods. */
export interface Eye {
  cones: readonly Spectrum[]
  rod: Spectrum
  acuityRad: number
}

const eyes = new Map<Species, Eye>()

/** The eye of a species (built once). */
export function eyeOf(s: Species): Eye {
  let e = eyes.get(s)
  if (!e) {
    e = {
      cones: s.conesNm.map(nm => pigment(nm, s.chromophore)),
      rod: pigment(s.rodNm, s.chromophore),
      acuityRad: s.acuityRad,
    }
    eyes.set(s, e)
  }
  return e
}

/** What the eye can do in the light it is adapted to. */
export interface Adaptation {
  /** Smallest lightness contrast it can see (Weber). */
  light: number
  /** Share of lightness that the twin cones carry, 0 (rods alone) to 1 (rods saturated). */
  cones: number
  /** Noise (Weber fraction) of one cone class in telling colours. */
  colour: number
  /** Share of colour vision left, 0 (night) to 1 (day). */
  colourShare: number
  /** How many times coarser it resolves than in good light. */
  coarser: number
}

/**
 * Best lightness threshold in good light: goldfish and bluegill need 0.5-4 % (Douglas & Hawryshyn 1990); 2 % for a
 * lure in motion. Rods at their best need half as much again.
 */
const BEST_CONTRAST = { cone: 0.02, rod: 0.032 }
/** Receptor noise in good light: 0.05-0.1 for vertebrates (Vorobyev & Osorio 1998; Kelber et al. 2003). */
const CONE_NOISE = 0.07
/** Luminances (cd/m²) below which sensitivity falls as the square root of light (de Vries-Rose). */
const CONE_KNEE = 3
const ROD_KNEE = 0.05
const COLOUR_KNEE = 6
/** Luminance at which half of colour vision is left, cd/m²; above moonlight, below late dusk. */
const COLOUR_FADES = 0.3
/**
 * Mesopic share of the cones: m = 0.767 + 0.3334 log10 L, all rods at 0.005 and all cones at 5 cd/m² (CIE 191:2010).
 */
const MESOPIC = { at1: 0.767, perDecade: 0.3334 }
/** Acuity falls tenfold from daylight to starlight, half of it by this luminance, cd/m² (after Shlaer 1937). */
const COARSEST = 10
const COARSE_KNEE = 0.002

/**
 * What an eye can do at a background luminance (cd/m², human scale, which is close enough for a knee). Smooth, and
 * never better in less light.
 */
export function adaptation(luminance: number): Adaptation {
  const l = Math.max(1e-7, luminance)
  const colourShare = 1 / (1 + (COLOUR_FADES / l) ** 1.5)
  const cones = Math.min(1, Math.max(0, MESOPIC.at1 + MESOPIC.perDecade * Math.log10(l)))
  const byCones = BEST_CONTRAST.cone * Math.sqrt(1 + CONE_KNEE / l)
  const byRods = BEST_CONTRAST.rod * Math.sqrt(1 + ROD_KNEE / l)
  return {
    light: byCones ** cones * byRods ** (1 - cones),
    cones,
    colour: (CONE_NOISE * Math.sqrt(1 + COLOUR_KNEE / l)) / colourShare,
    colourShare,
    coarser: 1 + (COARSEST - 1) / (1 + Math.sqrt(l / COARSE_KNEE)),
  }
}

/**
 * Distance between two stimuli in just-noticeable differences of colour, lightness aside: receptor-noise model for
 * dichromats (eq. 3) and trichromats (eq. 4) of Vorobyev & Osorio 1998, Proc. R. Soc. B 265, all noises equal.
 * @param f differences of the logarithms of the catches, the first `cones` of them used
 */
export function colourDistance(f: ArrayLike<number>, cones: number, noise: number): number {
  if (cones < 2) return 0
  if (cones === 2) return Math.abs(f[0]! - f[1]!) / (noise * Math.SQRT2)
  const a = f[2]! - f[1]!
  const b = f[2]! - f[0]!
  const c = f[0]! - f[1]!
  return Math.sqrt((a * a + b * b + c * c) / 3) / noise
}
