import { SCHOOL_IDS, type SchoolId } from '#core/words/schools'
import { type Sentence, type SentenceCode, plainly } from '#core/words/sentence'
import type { Moment } from '#core/schools/school'

/** How much each school counts in the balanced ranking, and why it differs from usual today. */
export interface Weights {
  share: Record<SchoolId, number>
  because: Sentence[]
}

type WeightCode = Extract<SentenceCode, `weights.${string}`>

const USUAL: Record<SchoolId, number> = {
  'match': 0.26,
  'blend': 0.12,
  'contrast': 0.17,
  'bright-day': 0.11,
  'fish-eye': 0.14,
  'few-colours': 0.1,
  'reaction': 0.1,
}

/**
 * Balanced weights: the usual shares, shifted smoothly by the conditions for stated reasons, never below a fiftieth,
 * summing to 1.
 */
export function balancedWeights({ conditions: c, grades: f }: Moment): Weights {
  const w = { ...USUAL }
  const because: Sentence[] = []
  const shift = (amount: number, from: SchoolId[], to: SchoolId[], why: WeightCode) => {
    if (amount < 0.01) return
    for (const s of to) w[s] += amount / to.length
    for (const s of from) w[s] -= amount / from.length
    if (amount > 0.03) because.push(plainly(why))
  }
  const pressured = c.pressure === 'high' ? 1 : c.pressure === 'low' ? 0 : 0.35
  shift(0.16 * f.clear * pressured, ['reaction', 'contrast', 'bright-day'], ['match', 'blend'], 'weights.pressured')
  shift(0.08 * f.clear * f.slow, ['contrast', 'reaction'], ['match', 'blend'], 'weights.long-look')
  shift(0.24 * f.dirty, ['match', 'blend', 'bright-day'], ['contrast', 'fish-eye'], 'weights.dirty')
  shift(0.2 * f.night, ['match', 'bright-day', 'blend'], ['contrast'], 'weights.night')
  if (c.bitesRefused) shift(0.4, ['match', 'blend', 'few-colours'], ['reaction', 'contrast'], 'weights.refused')
  let total = 0
  for (const s of SCHOOL_IDS) total += w[s] = Math.max(0.02, w[s])
  for (const s of SCHOOL_IDS) w[s] /= total
  return { share: w, because }
}
