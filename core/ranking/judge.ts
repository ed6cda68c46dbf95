import { SCHOOL_IDS, type SchoolId } from '#core/words/schools'
import { CUSTOMS } from '#core/rules/customs/all'
import { type Custom, fits, holds } from '#core/rules/custom'
import type { OpticsVerdict, Reason } from '#core/ranking/answer'
import { type Weights, balancedWeights } from '#core/ranking/weights'
import { BACKGROUNDS } from '#core/sight/backgrounds'
import { SCHOOL } from '#core/schools/all'
import { livesIn, shareOf } from '#core/prey/odds'
import { ramp } from '#core/request/grades'
import { MEASURES, type Measure, type Moment, type Point } from '#core/schools/school'
import { type Measured, firstFamily } from '#core/sight/measure'
import type { UnitSystem } from '#core/units'
import { type Sentence, type SentenceCode, plainly, said } from '#core/words/sentence'

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
/** What a colour the spot has already been shown today loses: as the leading colour, or as one of several. */
const SHOWN = { leading: -1.2, partly: -0.4 }

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

/** Penalty for what the fish have already been shown. */
function shownToday(m: Measured, moment: Moment): number {
  const seen = moment.conditions.fishedThrough
  if (!seen.length) return 0
  if (seen.includes(firstFamily(m))) return SHOWN.leading
  return m.finish.families.some(f => seen.includes(f)) ? SHOWN.partly : 0
}

/** What a pattern painted after food that cannot live here, or is not in the water's list, loses. */
const ABSENT = -1.3
/** The same where it lives here, only is not what they are eating by the angler's own word. */
const NOT_EATEN = -0.3

/** What it loses where the food is rarer than this share, the more the rarer. */
const RARE = { share: 0.04, effect: -0.3 } as const

function absentPrey({ finish }: Measured, { conditions: c }: Moment): { effect: number; says: () => Sentence } | null {
  const prey = finish.mimics
  if (!prey) return null
  const share = shareOf(c.prey.shares, prey)
  if (share > 0) {
    const rare = 1 - share / RARE.share
    return rare > 0 ? { effect: RARE.effect * rare, says: () => ({ code: 'prey.rare', params: { prey } }) } : null
  }
  return c.prey.from === 'given' && livesIn(prey, c.salinity)
    ? { effect: NOT_EATEN, says: () => ({ code: 'prey.not-eaten', params: { prey } }) }
    : { effect: ABSENT, says: () => ({ code: 'prey.absent', params: { prey } }) }
}

/** What a back that the angler can follow is worth at its best: in low light or over weed. */
const FOLLOWED = 0.12
/** A back seen from this far is as good as any, m. */
const FAR_ENOUGH_M = 40

function followed(m: Measured, { conditions: c, grades }: Moment): { effect: number; says: () => Sentence } | null {
  if (m.anglerM === null) return null
  const need = Math.max(grades.dim, BACKGROUNDS[c.background].kind === 'weed' ? 0.7 : 0)
  const seen = Math.min(1, m.anglerM / FAR_ENOUGH_M)
  const anglerM = m.anglerM
  return need * seen > 0
    ? { effect: FOLLOWED * need * seen, says: () => ({ code: 'angler.follows', params: { anglerM } }) }
    : null
}

/** How far apart the two groups' means must lie, beside the whole field's spread, before the optics take a side. */
const PLAIN_GAIN = 0.1
/** A finish counts as one a custom speaks for from this fit on. */
const PLAINLY_FAVOURED = 0.6

/**
 * Check a custom's claim: by how much do the finishes it favours show farther, look more like the food, hide or flash
 * here than the rest, as a share of the whole field's spread; 0 where it claims nothing or there is nothing to compare.
 */
function opticsGain(custom: Custom, all: readonly Measured[], moment: Moment): number {
  if (custom.claim === 'none') return 0
  const measure = ({ shows: 'reach', natural: 'natural', hides: 'hidden', flash: 'flash' } as const)[custom.claim]
  const value = MEASURES[measure]
  const favoured = { sum: 0, count: 0 }
  const rest = { sum: 0, count: 0 }
  for (const m of all) {
    const fit = fits(custom.favours, m)
    const group = fit >= PLAINLY_FAVOURED ? favoured : fit === 0 ? rest : null
    if (!group) continue
    group.sum += value(m)
    group.count++
  }
  if (!favoured.count || !rest.count) return 0
  const { up, down } = moment.field[measure]
  const apart = favoured.sum / favoured.count - rest.sum / rest.count
  return (apart * Math.sign(custom.strength)) / Math.max(up, down)
}

const verdictOf = (gain: number): OpticsVerdict =>
  gain > PLAIN_GAIN ? 'supports' : gain < -PLAIN_GAIN ? 'contradicts' : 'unexplained'

/** What a custom keeps of its strength where the optics contradict it: from all down to this, over this much gain. */
const CONTRADICTED = { keeps: 0.45, over: 0.25 }
const standingOf = (gain: number) => 1 - (1 - CONTRADICTED.keeps) * ramp(-gain, 0, CONTRADICTED.over)

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
    const shown = shownToday(m, moment)
    if (shown) because.push({ school: 'balanced', effect: shown, says: () => plainly('shown-today') })
    const absent = absentPrey(m, moment)
    if (absent) because.push({ school: 'balanced', ...absent })
    const seen = school === 'balanced' ? followed(m, moment) : null
    if (seen) because.push({ school: 'balanced', ...seen })
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
 * custom that the optics contradict never stands first.
 */
export function reasonsOf(j: Judged, judge: Judge, units: UnitSystem): Reason[] {
  const sorted = onceEach(j.because)
    .filter(b => Math.abs(b.effect) >= LEAST_EFFECT)
    .sort(byWeight)
  const sound = sorted.findIndex(b => !b.custom || judge.verdict(b.custom) !== 'contradicts')
  if (sound > 0) sorted.unshift(...sorted.splice(sound, 1))
  const out: Reason[] = sorted.slice(0, MOST_REASONS).map(b => ({
    school: b.school,
    effect: round(b.effect),
    ...said(b.says(), units),
    ...(b.custom ? { custom: { id: b.custom.id, optics: judge.verdict(b.custom) } } : {}),
  }))
  const rest = round(j.score) - 0.5 - out.reduce((s, r) => s + r.effect, 0)
  if (Math.abs(rest) >= LEAST_REST) {
    out.push({ school: 'balanced', effect: round(rest), ...said(plainly('small-points'), units) })
  }
  return out
}

/** To four decimals, as the contract gives figures. */
export const round = (v: number) => Math.round(v * 1e4) / 1e4
