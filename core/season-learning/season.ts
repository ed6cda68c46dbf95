import { rounded } from '#core/numeric/rounded'
import { ENGINE_VERSION } from '#core/ranking/version'
import type { Request } from '#core/request/request'
import type { Group } from '#core/season-learning/arrow'
import { type Effect, LEAST, LEVELS, type Level } from '#core/season-learning/effect'
import type { LoggedTrip, Stratum } from '#core/season-learning/log'
import { placeEffects } from '#core/season-learning/placeEffects'
import { prepared } from '#core/season-learning/prepared'
import { rigEffects } from '#core/season-learning/rigEffects'
import { PRIORS, type RigFit, fitRigs, sumOf } from '#core/season-learning/rigs'
import type { Stands } from '#core/season-learning/stands'
import { EARNED, LEAST_LEANED, leanOf, shiftOf, togetherOf, weightEvidence } from '#core/season-learning/weights'
import type { UnitSystem } from '#core/units'
import { SCHOOL_IDS, type SchoolId } from '#core/words/schools'
import { type Said, type Sentence, plainly, said } from '#core/words/sentence'

/** What is asked: the trips of a log, and what to tell of. */
export interface SeasonAsk {
  trips: readonly LoggedTrip[]
  levels?: readonly Level[] | undefined
  units?: UnitSystem | undefined
}

export interface SchoolWeight {
  id: SchoolId
  delta: number
  sd: number
  shift: number
  evidenceBites: number
  priorBites: number
  /** Schools that the log cannot part from it. */
  togetherWith: SchoolId[]
}

export interface SeasonAnswer {
  version: '1'
  engine: string
  used: {
    trips: number
    bites: number
    comparedBites: number
    leftOut: { tripId: string; why: 'not-as-it-happened' }[]
  }
  effects: Effect[]
  /** Bites an hour by water: on the days it was fished, eight in ten between. */
  perHour: Record<string, { best: number; low: number; high: number }>
  hotDays: { sdLn: number }
  weights: {
    slope: { mean: number; sd: number }
    evidence: number
    earned: boolean
    leaned: number
    schools: SchoolWeight[]
  }
  says: Said[]
}

/** From this share of bites without another rod on, it is worth saying. */
const UNPAIRED = 0.4
const PRIOR_BITES = 4 / PRIORS.school ** 2

/** What a log says: worked out anew from the trips and the rankings of their half-hours; the same for the same log. */
export function seasonOf(ask: SeasonAsk, stands: readonly { asked: Request; stands: Stands }[]): SeasonAnswer {
  const units = ask.units ?? 'metric'
  const levels = new Set<Level>(ask.levels ?? LEVELS)
  const log = prepared(ask.trips, stands)
  const { trips, strata, compared, layout, groups } = log
  const fit = fitRigs(layout, groups)
  const bitesIn = (of: readonly Stratum[]) => of.reduce((n, s) => n + s.cells.reduce((m, c) => m + c.bites, 0), 0)
  const [bites, comparedBites] = [bitesIn(strata), bitesIn(compared)]
  const rigs = rigEffects(log, fit, levels, units)
  const places = placeEffects(log, fit, levels, units)
  const weights = weightsOf(groups, fit, comparedBites, trips.length)
  return {
    version: '1',
    engine: ENGINE_VERSION,
    used: {
      trips: trips.length,
      bites,
      comparedBites,
      leftOut: ask.trips.filter(t => !t.asItHappened).map(t => ({ tripId: t.id, why: 'not-as-it-happened' as const })),
    },
    effects: [...rigs.effects, ...places.effects],
    perHour: places.perHour,
    hotDays: { sdLn: rounded(places.hotSd, 4) },
    weights,
    says: saysOf(rigs.misleading, weights, { bites, compared: comparedBites, trips: trips.length }, units),
  }
}

function weightsOf(groups: readonly Group[], fit: RigFit, bites: number, trips: number): SeasonAnswer['weights'] {
  const { evidence, evidenceBites } = weightEvidence(groups, fit.layout)
  const leaned = leanOf(evidence, bites, trips)
  const slope = sumOf(fit, [{ at: 0, value: 1 }])
  const best = fit.fits.reduce((a, b) => (b.weight > a.weight ? b : a)).fit
  const together = togetherOf(best.covariance, best.mean.length)
  return {
    slope: { mean: rounded(slope.mean, 4), sd: rounded(slope.sd, 4) },
    evidence: rounded(evidence, 4),
    earned: evidence >= EARNED && leaned > 0,
    leaned: rounded(leaned, 4),
    schools: SCHOOL_IDS.map((id, s) => {
      const delta = sumOf(fit, [{ at: s + 1, value: 1 }])
      return {
        id,
        delta: rounded(delta.mean, 4),
        sd: rounded(delta.sd, 4),
        shift: rounded(shiftOf(delta.mean, slope.mean, leaned), 4),
        evidenceBites: rounded(evidenceBites[s]!, 1),
        priorBites: PRIOR_BITES,
        togetherWith: together[s]!.map(t => SCHOOL_IDS[t]!),
      }
    }),
  }
}

function saysOf(
  misleading: readonly { finish: string; plain: number; times: number }[],
  weights: SeasonAnswer['weights'],
  { bites, compared, trips }: { bites: number; compared: number; trips: number },
  units: UnitSystem,
): Said[] {
  const out: Sentence[] = []
  if (compared < LEAST.lureBites)
    out.push({ code: 'season.silent', params: { bites: compared, least: LEAST.lureBites } })
  for (const params of misleading) out.push({ code: 'season.table-misleads', params })
  const unpaired = bites ? 1 - compared / bites : 0
  if (unpaired >= UNPAIRED) {
    out.push({ code: 'season.unpaired', params: { share: rounded(unpaired, 4) } }, plainly('season.swap'))
  }
  if (compared >= LEAST_LEANED.bites && trips >= LEAST_LEANED.trips) {
    const most = weights.schools.reduce((a, b) => (Math.abs(b.shift) > Math.abs(a.shift) ? b : a))
    const { evidence, leaned: share } = weights
    if (weights.earned)
      out.push({ code: 'season.weights-earned', params: { school: most.id, shift: most.shift, evidence } })
    else if (share >= LEANS)
      out.push({ code: 'season.weights-lean', params: { school: most.id, shift: most.shift, share } })
    else out.push({ code: 'season.weights-stand', params: { evidence, bites: compared } })
  }
  return out.map(s => said(s, units))
}
/** Let in less far than this, the log is said to leave the weights as they are. */
const LEANS = 0.5
