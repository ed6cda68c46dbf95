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
  /** Smallest lightness contrast (Weber) that the cones, and the rods, can see. */
  cone: number
  rod: number
  /** Noise (Weber fraction) of one cone class in telling colours. */
  colour: number
  /** Share of colour vision left, 0 (night) to 1 (day). */
  colourShare: number
}

/**
 * Best lightness threshold in good light: goldfish and bluegill need 0.5-4 % (Douglas & Hawryshyn 1990); 2 % for a
 * lure in motion.
 */
const BEST_CONTRAST = 0.02
/** Receptor noise in good light: 0.05-0.1 for vertebrates (Vorobyev & Osorio 1998; Kelber et al. 2003). */
const CONE_NOISE = 0.07
/** Luminances (cd/m²) below which sensitivity falls as the square root of light (de Vries-Rose). */
const CONE_KNEE = 3
const ROD_KNEE = 0.05
const COLOUR_KNEE = 6
/** Luminance at which cones and rods share the work, cd/m²; above moonlight, below late dusk. */
const MESOPIC = 0.3

/**
 * Thresholds at a background luminance (cd/m², human scale, which is close enough for a knee). They never rise with
 * light.
 */
export function adaptation(luminance: number): Adaptation {
  const l = Math.max(1e-7, luminance)
  const colourShare = 1 / (1 + (MESOPIC / l) ** 1.5)
  return {
    cone: (BEST_CONTRAST * Math.sqrt(1 + CONE_KNEE / l)) / Math.sqrt(colourShare),
    rod: BEST_CONTRAST * 1.6 * Math.sqrt(1 + ROD_KNEE / l),
    colour: (CONE_NOISE * Math.sqrt(1 + COLOUR_KNEE / l)) / colourShare,
    colourShare,
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
