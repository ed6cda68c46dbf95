import { colourDistance } from '#core/eye/eye'
import { blurM, catchOf, resolved } from '#core/sight/contrast'
import { BITE_ROW, RANGE_STEPS, type View } from '#core/sight/view'
import { BANDS, type Spectrum } from '#core/spectrum/grid'

/** Colour needs more breadth than lightness does: its blur counts so many times. */
const COLOUR_BLUR = 4
/** Most receptors any eye has: three cones and the rods. */
const MOST_RECEPTORS = 4

/**
 * Sees one part at a time along one view: its contrasts at any row, and the distances at which it is lost. Holds its
 * buffers, so that a look allocates nothing in its inner loops.
 */
export class Rangefinder {
  /** Difference in radiance between the part and what is behind it; filled by whoever aims. */
  readonly delta: Spectrum = new Float64Array(BANDS)
  /** Weber contrast per receptor at the row last looked at; cones short to long, then lightness. */
  readonly contrast = new Float64Array(MOST_RECEPTORS)
  /** Logarithms of the cones' catches there, beside the first cone's: colours are told by differences of them. */
  readonly logs = new Float64Array(MOST_RECEPTORS)
  /** How plainly the part shows there, 1 at threshold: by lightness or colour, and by colour alone. */
  any = 0
  colour = 0
  /** The same at the range steps already worked out; NaN where not. */
  private readonly anyAt = new Float64Array(RANGE_STEPS)
  private readonly colourAt = new Float64Array(RANGE_STEPS)
  private areaM2 = 0

  constructor(readonly view: View) {}

  /** Forget the part before; the next has an area of so many m². */
  aim(areaM2: number): void {
    this.areaM2 = areaM2
    this.anyAt.fill(Number.NaN)
  }

  /** Take the contrasts of the part in each receptor at a row of the view. */
  look(row: number): void {
    const { receptors, weights: w } = this.view
    const d = this.delta
    const fours = BANDS - (BANDS % 4)
    // By day the twin cones alone carry lightness: what they see is not worked out twice.
    const byDay = this.view.adaptedAt(row).cones === 1
    const own = byDay ? receptors - 1 : receptors
    let at = row * receptors * BANDS
    for (let n = 0; n < own; n++) {
      // Four sums at once: a single running sum would wait for itself at every step.
      let c0 = 0
      let c1 = 0
      let c2 = 0
      let c3 = 0
      for (let i = 0; i < fours; i += 4) {
        c0 += w[at + i]! * d[i]!
        c1 += w[at + i + 1]! * d[i + 1]!
        c2 += w[at + i + 2]! * d[i + 2]!
        c3 += w[at + i + 3]! * d[i + 3]!
      }
      for (let i = fours; i < BANDS; i++) c0 += w[at + i]! * d[i]!
      this.contrast[n] = c0 + c1 + c2 + c3
      at += BANDS
    }
    if (byDay) this.contrast[receptors - 1] = this.contrast[receptors - 2]!
    const first = catchOf(this.contrast[0]!)
    for (let n = 1; n < receptors - 1; n++) this.logs[n] = Math.log(catchOf(this.contrast[n]!) / first)
  }

  /** Weigh how plainly the part shows at a row, from the contrasts last taken there. */
  weigh(row: number): void {
    const { receptors, rangesM, eye } = this.view
    const cones = receptors - 1
    const seen = this.view.adaptedAt(row)
    const blur2 = blurM(eye, seen, rangesM[row]!) ** 2
    const light = (Math.abs(this.contrast[cones]!) / seen.light) * resolved(this.areaM2, blur2)
    this.colour = colourDistance(this.logs, cones, seen.colour) * resolved(this.areaM2, COLOUR_BLUR * blur2)
    this.any = Math.max(light, this.colour)
  }

  /** Distance within which the part shows at all, m; `atBite` is how plainly it shows at biting distance. */
  sightM = (atBite: number) => this.reach(this.anyAt, atBite)
  /** Distance within which its colour can be told, m. */
  colourM = (atBite: number) => this.reach(this.colourAt, atBite)

  private signalAt(k: number): void {
    if (!Number.isNaN(this.anyAt[k]!)) return
    this.look(k)
    this.weigh(k)
    this.anyAt[k] = this.any
    this.colourAt[k] = this.colour
  }

  /**
   * The range step nearest to where a signal should fall to its threshold, if it fades at the background's mean loss.
   */
  private guessStep(atBite: number): number {
    const { rangesM, meanLoss } = this.view
    const r = rangesM[BITE_ROW]! + Math.log(Math.max(1e-3, atBite)) / Math.max(1e-3, meanLoss)
    const first = rangesM[0]!
    if (!(r > first)) return 0
    const along = Math.log(r / first) / Math.log(rangesM[RANGE_STEPS - 1]! / first)
    return Math.min(RANGE_STEPS - 1, Math.round(along * (RANGE_STEPS - 1)))
  }

  /**
   * Distance at which a signal falls under its threshold, searched from a guess; where it is under it even close by,
   * less than the nearest distance, by how far under it is; 0 under a millimetre.
   */
  private reach(signal: Float64Array, atBite: number): number {
    const { rangesM } = this.view
    let over = this.guessStep(atBite)
    this.signalAt(over)
    while (signal[over]! < 1) {
      if (over === 0) {
        const lost = rangesM[0]! * signal[0]! ** 2
        return lost < 0.001 ? 0 : lost
      }
      over--
      this.signalAt(over)
    }
    for (;;) {
      if (over === RANGE_STEPS - 1) return rangesM[over]!
      this.signalAt(over + 1)
      if (signal[over + 1]! < 1) break
      over++
    }
    // Between steps the logarithm of the signal is close to straight.
    const here = Math.log(signal[over]!)
    const t = here / Math.max(1e-12, here - Math.log(Math.max(1e-9, signal[over + 1]!)))
    return rangesM[over]! + t * (rangesM[over + 1]! - rangesM[over]!)
  }
}
