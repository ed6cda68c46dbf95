import type { OpticsVerdict } from '#core/ranking/answer'
import { beyondSchools } from '#core/ranking/beyondSchools'
import { opticsGain, standingOf, verdictOf } from '#core/ranking/opticsCheck'
import { type Weights, balancedWeights } from '#core/ranking/weights'
import { type Custom, fitting, holds } from '#core/rules/custom'
import { customsOf } from '#core/rules/customs/all'
import { SCHOOL } from '#core/schools/all'
import type { Moment, Point } from '#core/schools/school'
import type { Measured } from '#core/sight/measure'
import { SCHOOL_IDS, type SchoolId } from '#core/words/schools'
import type { Sentence } from '#core/words/sentence'

/** A school's stance on a finish: its points and customs, and their sum before anyone weighs it. */
export interface Stance {
  points: Point[]
  customs: { custom: Custom; effect: number }[]
  value: number
}

export interface Judged extends Measured {
  score: number
  /** The sum of effects before it is bent into a score. */
  total: number
  stances: Record<SchoolId, Stance>
  /** Effects that add up to the score's distance from neutral; sentences made on demand. */
  because: { school: SchoolId | 'balanced'; effect: number; says: () => Sentence; custom?: Custom }[]
}

/** A judge for one moment: scores any finish, in the catalogue or dressed up. */
export interface Judge {
  judge: (m: Measured) => Judged
  weights: Weights
  verdict: (c: Custom) => OpticsVerdict
}

/** A custom that holds in a moment: how far, how far the optics bear it out, and how far a finish is what it wants. */
interface Held {
  custom: Custom
  k: number
  gain: number
  fits: (m: Measured) => number
}

/** How strongly a custom's strength counts beside a school's own points. */
const CUSTOM_WEIGHT = 0.62
/** Balanced sums seven opinions that partly cancel; this gives the sum the reach of a single school's. */
const BALANCED_GAIN = 1.7
/** Slope of the score at neutral. */
const STEEPNESS = 0.95
function stancesOf(m: Measured, moment: Moment, held: readonly Held[]): Record<SchoolId, Stance> {
  const out = {} as Record<SchoolId, Stance>
  for (const id of SCHOOL_IDS) {
    const points = SCHOOL[id].judge(m, moment)
    out[id] = { points, customs: [], value: points.reduce((s, p) => s + p.effect, 0) }
  }
  for (const { custom, k, fits } of held) {
    const fit = fits(m)
    if (fit === 0) continue
    const effect = CUSTOM_WEIGHT * custom.strength * k * fit
    out[custom.school].customs.push({ custom, effect })
    out[custom.school].value += effect
  }
  return out
}

/**
 * How much each school's points and customs count in a moment; 0 for those that are not asked. `leaned` is what an
 * angler's log adds to both.
 */
type Shares = Record<SchoolId, { points: number; customs: number; leaned: number }>

/** How far a log shifts the weights of the schools; those it does not name stay. */
export type Lean = Readonly<Partial<Record<SchoolId, number>>>
/** No school's weight is leaned below this (season-model section 4). */
const LEAST_WEIGHT = 0.02

function sharesOf(weights: Weights, school: SchoolId | 'balanced', lean: Lean): Shares {
  const out = {} as Shares
  for (const id of SCHOOL_IDS) {
    const share = weights.share[id]
    const shift = Math.max(lean[id] ?? 0, Math.min(0, LEAST_WEIGHT - share))
    // A custom is a finished judgement; in balance it counts nearly whole, more where its school does.
    if (school === 'balanced')
      out[id] = {
        points: BALANCED_GAIN * share,
        customs: Math.min(1.25, 0.35 + 3 * share),
        leaned: BALANCED_GAIN * shift,
      }
    else out[id] = id === school ? { points: 1, customs: 1, leaned: 0 } : { points: 0, customs: 0, leaned: 0 }
  }
  return out
}

/** A finish with what is thought of it; why is only made up when it is asked. */
class Judgement implements Judged {
  readonly finish
  readonly sight
  readonly flash
  readonly sightM
  readonly colourM
  readonly natural
  readonly hidden
  readonly internalJnd
  readonly anglerM
  readonly score: number
  readonly total: number
  private made: Judged['because'] | null = null

  constructor(
    m: Measured,
    readonly stances: Judged['stances'],
    private readonly shares: Shares,
    private readonly beyond: readonly Point[],
  ) {
    this.finish = m.finish
    this.sight = m.sight
    this.flash = m.flash
    this.sightM = m.sightM
    this.colourM = m.colourM
    this.natural = m.natural
    this.hidden = m.hidden
    this.internalJnd = m.internalJnd
    this.anglerM = m.anglerM
    let total = 0
    for (const id of SCHOOL_IDS) {
      const share = shares[id]
      for (const p of stances[id].points) total += share.points * p.effect
      for (const c of stances[id].customs) total += share.customs * c.effect
    }
    for (const p of beyond) total += p.effect
    total += this.leaned()
    this.total = total
    this.score = 0.5 + distanceOf(total)
  }

  /** What the log adds: more or less of what each school thinks of it. */
  private leaned(): number {
    let sum = 0
    for (const id of SCHOOL_IDS) {
      const { leaned } = this.shares[id]
      if (leaned !== 0) sum += leaned * this.stances[id].value
    }
    return sum
  }

  get because() {
    return (this.made ??= this.reasons())
  }

  private reasons(): Judged['because'] {
    const scale = Math.abs(this.total) > 1e-9 ? distanceOf(this.total) / this.total : 0
    const out: Judged['because'] = []
    for (const id of SCHOOL_IDS) {
      const share = this.shares[id]
      if (share.points === 0) continue
      const { points, customs } = this.stances[id]
      for (const p of points) out.push({ school: id, effect: share.points * p.effect * scale, says: p.says })
      for (const { custom, effect } of customs) {
        const says = (): Sentence => ({ code: 'custom', params: { id: custom.id } })
        out.push({ school: id, effect: share.customs * effect * scale, says, custom })
      }
    }
    for (const p of this.beyond) out.push({ school: 'balanced', effect: p.effect * scale, says: p.says })
    const leaned = this.leaned()
    if (leaned !== 0) {
      const says = (): Sentence => ({ code: 'season.leaned', params: { towards: leaned > 0 } })
      out.push({ school: 'balanced', effect: leaned * scale, says })
    }
    return out
  }
}

/** A score's distance from neutral, of effects that sum to so much. */
const distanceOf = (total: number) => 0.5 * Math.tanh(STEEPNESS * total)

/**
 * Prepare to judge finishes in a moment, by one school or all in balance.
 * @param lean how far an angler's log shifts the weights, in balance
 */
export function prepareJudge(moment: Moment, all: readonly Measured[], lean: Lean = {}): Judge {
  const { lure, school } = moment.conditions
  const held: Held[] = []
  for (const custom of customsOf(lure)) {
    const k = holds(custom.when, moment)
    if (k === 0) continue
    const gain = opticsGain(custom, all, moment)
    held.push({ custom, k: k * standingOf(gain), gain, fits: fitting(custom.favours) })
  }
  const weights = balancedWeights(moment)
  const shares = sharesOf(weights, school, lean)
  const gains = new Map(held.map(h => [h.custom.id, h.gain]))
  return {
    judge: m => new Judgement(m, stancesOf(m, moment, held), shares, beyondSchools(m, moment)),
    weights,
    verdict: c => verdictOf(gains.get(c.id) ?? 0),
  }
}
