import { rounded } from '#core/numeric/rounded'
import type { Reason } from '#core/ranking/answer'
import type { Judge, Judged } from '#core/ranking/judge'
import type { Measure } from '#core/schools/school'
import type { UnitSystem } from '#core/units'
import { type SentenceCode, plainly, said } from '#core/words/sentence'

/** Most reasons given one by one. */
const MOST_REASONS = 6
/** Effects smaller than this are left to the rest, and a rest smaller than that is nothing. */
const LEAST_EFFECT = 5e-4
const LEAST_REST = 5e-5

type Because = Judged['because'][number]

/** The measure a sentence speaks of, where it speaks of one that others speak of too. */
const SPEAKS_OF: Partial<Record<SentenceCode, Measure>> = {
  'contrast.seen-from': 'reach',
  'contrast.seen-farther': 'reach',
  'contrast.seen-late': 'reach',
  'fish-eye.shape': 'reach',
  'reaction.seen-early': 'reach',
  'blend.bold-in-dirty': 'reach',
  'blend.melts': 'hidden',
  'blend.stands-off': 'hidden',
  'contrast.not-taken-for': 'hidden',
}

const byWeight = (a: Because, b: Because) => Math.abs(b.effect) - Math.abs(a.effect)

/** Each measure once: what several schools make of it is said in the weightiest one's words, their effects summed. */
function onceEach(because: readonly Because[]): Because[] {
  const out: Because[] = []
  const spoken = new Map<Measure, Because>()
  for (const b of [...because].sort(byWeight)) {
    const measure = SPEAKS_OF[b.says().code]
    const before = measure && spoken.get(measure)
    if (before) before.effect += b.effect
    else {
      const mine = { ...b }
      out.push(mine)
      if (measure) spoken.set(measure, mine)
    }
  }
  return out
}

/**
 * Reasons of the contract: the weightiest in words, the small ones together, adding up to the score less a half. A
 * custom that the optics contradict never stands first, nor that a finish is only as light as their food.
 */
export function reasonsOf(j: Judged, judge: Judge, units: UnitSystem): Reason[] {
  const sorted = onceEach(j.because)
    .filter(b => Math.abs(b.effect) >= LEAST_EFFECT)
    .sort(byWeight)
  const leads = (b: Because) =>
    b.custom ? judge.verdict(b.custom) !== 'contradicts' : b.effect < 0 || b.says().code !== 'match.tone'
  const sound = sorted.findIndex(leads)
  if (sound > 0) sorted.unshift(...sorted.splice(sound, 1))
  const out: Reason[] = sorted.slice(0, MOST_REASONS).map(b => ({
    school: b.school,
    effect: rounded(b.effect),
    ...said(b.says(), units),
    ...(b.custom ? { custom: { id: b.custom.id, optics: judge.verdict(b.custom) } } : {}),
  }))
  const rest = rounded(j.score) - 0.5 - out.reduce((s, r) => s + r.effect, 0)
  if (Math.abs(rest) >= LEAST_REST) {
    out.push({ school: 'balanced', effect: rounded(rest), ...said(plainly('small-points'), units) })
  }
  return out
}
