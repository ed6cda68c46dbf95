import type { OpticsVerdict } from '#core/ranking/answer'
import { beyondSchools } from '#core/ranking/beyondSchools'
import { opticsGain, standingOf, verdictOf } from '#core/ranking/opticsCheck'
import { type Weights, balancedWeights } from '#core/ranking/weights'
import { type Custom, fits, holds } from '#core/rules/custom'
import { CUSTOMS } from '#core/rules/customs/all'
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

/** How strongly a custom's strength counts beside a school's own points. */
const CUSTOM_WEIGHT = 0.62
/** Balanced sums seven opinions that partly cancel; this gives the sum the reach of a single school's. */
const BALANCED_GAIN = 1.7
/** Slope of the score at neutral. */
const STEEPNESS = 0.95
function stancesOf(
  m: Measured,
  moment: Moment,
  held: readonly { custom: Custom; k: number }[],
): Record<SchoolId, Stance> {
  const out = {} as Record<SchoolId, Stance>
  for (const id of SCHOOL_IDS) {
    const points = SCHOOL[id].judge(m, moment)
    out[id] = { points, customs: [], value: points.reduce((s, p) => s + p.effect, 0) }
  }
  for (const { custom, k } of held) {
    const fit = fits(custom.favours, m)
    if (fit === 0) continue
    const effect = CUSTOM_WEIGHT * custom.strength * k * fit
    out[custom.school].customs.push({ custom, effect })
    out[custom.school].value += effect
  }
  return out
}

/** Prepare to judge finishes in a moment, by one school or all in balance. */
export function prepareJudge(moment: Moment, all: readonly Measured[]): Judge {
  const held = CUSTOMS.map(custom => ({ custom, k: holds(custom.when, moment), gain: 0 })).filter(h => h.k > 0)
  for (const h of held) {
    h.gain = opticsGain(h.custom, all, moment)
    h.k *= standingOf(h.gain)
  }
  const weights = balancedWeights(moment)
  const school = moment.conditions.school
  const gains = new Map(held.map(h => [h.custom.id, h.gain]))
  const judge = (m: Measured): Judged => {
    const stances = stancesOf(m, moment, held)
    const because: Judged['because'] = []
    for (const id of SCHOOL_IDS) {
      if (school !== 'balanced' && school !== id) continue
      const share = school === 'balanced' ? BALANCED_GAIN * weights.share[id] : 1
      // A custom is a finished judgement; in balance it counts nearly whole, more where its school does.
      const customShare = school === 'balanced' ? Math.min(1.25, 0.35 + 3 * weights.share[id]) : 1
      for (const p of stances[id].points) because.push({ school: id, effect: share * p.effect, says: p.says })
      for (const { custom, effect } of stances[id].customs) {
        const says = (): Sentence => ({ code: 'custom', params: { id: custom.id } })
        because.push({ school: id, effect: customShare * effect, says, custom })
      }
    }
    for (const p of beyondSchools(m, moment)) because.push({ school: 'balanced', ...p })
    const total = because.reduce((s, b) => s + b.effect, 0)
    const distance = 0.5 * Math.tanh(STEEPNESS * total)
    const scale = Math.abs(total) > 1e-9 ? distance / total : 0
    for (const b of because) b.effect *= scale
    return { ...m, score: 0.5 + distance, stances, because }
  }
  return {
    judge,
    weights,
    verdict: c => verdictOf(gains.get(c.id) ?? 0),
  }
}
