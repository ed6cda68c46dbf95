import { finishById } from '#core/lure/finish'
import { LURES, type LureId } from '#core/lure/types'
import { normalBelow } from '#core/numeric/normal'
import { rounded } from '#core/numeric/rounded'
import { ENGINE_VERSION } from '#core/ranking/version'
import { type Group, linearSum } from '#core/season-learning/arrow'
import { type LoggedTrip, type Stratum, askedOf, compares, strataOf } from '#core/season-learning/log'
import { type HalfHour, type PlaceFit, contrastAmong, fitPlaces, spotKey } from '#core/season-learning/places'
import {
  type Layout,
  PRIORS,
  type RigFit,
  type StandsOf,
  covariatesOf,
  fitRigs,
  layoutOf,
  rowOf,
  sumOf,
  tripGroups,
} from '#core/season-learning/rigs'
import type { Stands } from '#core/season-learning/stands'
import { EARNED, leanOf, shiftOf, togetherOf, weightEvidence } from '#core/season-learning/weights'
import type { Request } from '#core/request/request'
import type { UnitSystem } from '#core/units'
import { SCHOOL_IDS, type SchoolId } from '#core/words/schools'
import { type Said, type Sentence, plainly, said } from '#core/words/sentence'

/** What effects are told of. */
export const LEVELS = ['finish', 'look', 'family', 'lure', 'spot', 'clarity', 'light', 'phase'] as const
export type Level = (typeof LEVELS)[number]

/** What is asked: the trips of a log, and what to tell of. */
export interface SeasonAsk {
  trips: readonly LoggedTrip[]
  levels?: readonly Level[] | undefined
  units?: UnitSystem | undefined
}

/** How much better than its fellows something did. */
export interface Effect {
  level: Level
  id: string
  /** The lure, or the water, among whose like it is held. */
  within: string | null
  times: number
  /** Eight in ten between. */
  low: number
  high: number
  chanceBetter: number
  /** What the engine would have said before the log. */
  priorTimes: number
  /** By bites an hour alone. */
  plainTimes: number | null
  hours: number
  bites: number
  comparedBites: number
  /** More compared bites to be sure, in tens; null: more than a season's. */
  moreBites: number | null
  /** What may be said of it; null where it is too early. */
  says: Said | null
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

/** Nothing is said of a finish under an hour in hand or so many compared bites in its lure; of a place under these. */
const LEAST = { hours: 1, lureBites: 8, placeTrips: 3, placeHours: 2, bites: 60 } as const
/** "Better" and "worse" are said from here. */
const SURE = 0.9
/** Eight in ten lie within so many standard deviations. */
const EIGHT_IN_TEN = 1.28
const [TENS, A_SEASON] = [10, 500] as const
/** A table misleads where its leader does so much better by it than beside other rods. */
const MISLEADS = 1.15
/** From this share of bites without another rod on, it is worth saying. */
const UNPAIRED = 0.4
/** Low light from this grade on. */
const LOW_LIGHT = 0.5
const bandOf = (visibilityM: number) => (visibilityM < 0.6 ? 'under-0.6' : visibilityM <= 2 ? '0.6-2' : 'over-2')
const PRIOR_BITES = 4 / PRIORS.school ** 2

/** Requests whose rankings a season asks for, each once. */
export function askedIn(trips: readonly LoggedTrip[]): Request[] {
  const all = new Map<string, Request>()
  for (const t of trips.filter(t => t.asItHappened))
    for (const s of t.stints) {
      const asked = askedOf(t, s)
      all.set(JSON.stringify(asked), asked)
    }
  return [...all.values()]
}

const moreNeeded = (bites: number, mean: number, sd: number): number | null => {
  const more = bites * (((EIGHT_IN_TEN * sd) / Math.max(1e-9, Math.abs(mean))) ** 2 - 1)
  if (more <= 0) return 0
  const tens = Math.ceil(more / TENS) * TENS
  return tens > A_SEASON ? null : tens
}

const timesOf = ({ mean, sd }: { mean: number; sd: number }) => ({
  times: rounded(Math.exp(mean), 4),
  low: rounded(Math.exp(mean - EIGHT_IN_TEN * sd), 4),
  high: rounded(Math.exp(mean + EIGHT_IN_TEN * sd), 4),
  chanceBetter: rounded(sd > 0 ? normalBelow(mean / sd) : 0.5, 4),
})

type Row = { at: number; value: number }[]
const scaledRow = (row: Row, k: number): Row => row.map(e => ({ at: e.at, value: k * e.value }))

/** How long and how often each of something was fished, over all strata. */
interface Tally {
  minutes: number
  bites: number
  compared: number
}

/** A log made ready to be fitted. */
export interface Prepared {
  trips: readonly LoggedTrip[]
  strata: readonly Stratum[]
  compared: readonly Stratum[]
  looks: ReadonlyMap<string, string>
  layout: Layout
  groups: Group[]
  standsOf: StandsOf
}

/** Trips as stretches of comparison, with the rankings of their half-hours. */
export function prepared(all: readonly LoggedTrip[], stands: readonly { asked: Request; stands: Stands }[]): Prepared {
  const known = new Map(stands.map(s => [JSON.stringify(s.asked), s.stands]))
  // A stint's conditions are looked up often: by what they say once, then by which they are.
  const found = new WeakMap<Request, Stands>()
  const standsOf: StandsOf = asked => {
    let stands = found.get(asked)
    if (!stands) found.set(asked, (stands = known.get(JSON.stringify(asked))!))
    return stands
  }
  const trips = all.filter(t => t.asItHappened)
  const strata = trips.flatMap((t, i) => strataOf(t, i)).filter(s => s.cells.length)
  const compared = strata.filter(compares)
  const looks = usualLooks(strata, standsOf)
  const layout = layoutOf(compared, id => looks.get(id) ?? null)
  return { trips, strata, compared, looks, layout, groups: tripGroups(compared, layout, standsOf), standsOf }
}

/** What a log says: worked out anew from the trips and the rankings of their half-hours; the same for the same log. */
export function seasonOf(ask: SeasonAsk, stands: readonly { asked: Request; stands: Stands }[]): SeasonAnswer {
  const units = ask.units ?? 'metric'
  const levels = new Set<Level>(ask.levels ?? LEVELS)
  const { trips, strata, compared, looks, layout, groups, standsOf } = prepared(ask.trips, stands)
  const fit = fitRigs(layout, groups)
  const bitesIn = (of: readonly Stratum[]) => of.reduce((n, s) => n + s.cells.reduce((m, c) => m + c.bites, 0), 0)
  const [bites, comparedBites] = [bitesIn(strata), bitesIn(compared)]
  const rigs = rigEffects(strata, compared, fit, standsOf, looks, levels, units)
  const places = placeEffects(trips, strata, fit, standsOf, levels, units)
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
    says: saysOf(rigs.misleading, weights, bites, comparedBites, units),
  }
}

/** The looks of each lure in the moment it was fished in longest, by finish. */
function usualLooks(strata: readonly Stratum[], standsOf: StandsOf): Map<string, string> {
  const longest = new Map<LureId, Map<Request, number>>()
  for (const { cells } of strata)
    for (const { lure, fished } of cells)
      for (const { asked, minutes } of fished) {
        const of = longest.get(lure) ?? new Map<Request, number>()
        longest.set(lure, of)
        of.set(asked, (of.get(asked) ?? 0) + minutes)
      }
  const out = new Map<string, string>()
  for (const [lure, of] of longest) {
    const [usual] = [...of].reduce((a, b) => (b[1] > a[1] ? b : a))
    for (const [id, look] of Object.entries(standsOf(usual).look)) out.set(id, `${lure} ${look}`)
  }
  return out
}

function tallies(
  strata: readonly Stratum[],
  compared: readonly Stratum[],
  keyOf: (c: { lure: string; finishId: string }) => string,
) {
  const out = new Map<string, Tally>()
  const add = (of: readonly Stratum[], put: (t: Tally, c: Stratum['cells'][number]) => void) => {
    for (const { cells } of of)
      for (const c of cells) {
        const t = out.get(keyOf(c)) ?? { minutes: 0, bites: 0, compared: 0 }
        out.set(keyOf(c), t)
        put(t, c)
      }
  }
  add(strata, (t, c) => {
    t.minutes += c.minutes
    t.bites += c.bites
  })
  add(compared, (t, c) => (t.compared += c.bites))
  return out
}

/** Finishes, looks, families and lures, from rods compared. */
function rigEffects(
  strata: readonly Stratum[],
  compared: readonly Stratum[],
  fit: RigFit,
  standsOf: StandsOf,
  looks: ReadonlyMap<string, string>,
  levels: ReadonlySet<Level>,
  units: UnitSystem,
) {
  const byFinish = tallies(strata, compared, c => c.finishId)
  const byLure = tallies(strata, compared, c => c.lure)
  const lures = [...byLure.keys()].sort() as LureId[]
  const effects: Effect[] = []
  const misleading: { finish: string; plain: number; times: number }[] = []
  const effect = (
    level: Level,
    id: string,
    within: string | null,
    row: Row,
    t: Tally,
    plainTimes: number | null,
    name: string,
    lureBites: number,
  ): Effect => {
    const sum = sumOf(fit, row)
    const shown = timesOf(sum)
    const prior = PRIORS.slope.mean * row.filter(e => e.at === 0).reduce((s, e) => s + e.value, 0)
    const moreBites = moreNeeded(lureBites, sum.mean, sum.sd)
    const mayBeSaid = t.minutes >= 60 * LEAST.hours && lureBites >= LEAST.lureBites
    const params = { ...shown, bites: t.compared, more: moreBites }
    const sentence: Sentence =
      level === 'finish'
        ? { code: 'season.finish', params: { ...params, finish: name, lure: within as LureId } }
        : { code: 'season.group', params: { ...params, name } }
    return {
      level,
      id,
      within,
      ...shown,
      priorTimes: rounded(Math.exp(prior), 4),
      plainTimes,
      hours: rounded(t.minutes / 60, 2),
      bites: t.bites,
      comparedBites: t.compared,
      moreBites,
      says: mayBeSaid ? said(sentence, units) : null,
    }
  }
  const lureRows = new Map<LureId, Row>()
  for (const lure of lures) {
    const ids = [...new Set(strata.flatMap(s => s.cells.filter(c => c.lure === lure).map(c => c.finishId)))].sort()
    const moments = momentsOf(strata, lure)
    const rows = new Map(ids.map(id => [id, meanRow(fit, lure, id, moments, standsOf)]))
    const middle = ids.flatMap(id => scaledRow(rows.get(id)!, -1 / ids.length))
    const lureBites = byLure.get(lure)!.compared
    const rate = (t: Tally) => (60 * t.bites) / Math.max(1, t.minutes)
    const plainOf = (id: string) => {
      const mine = byFinish.get(id)!
      const all = byLure.get(lure)!
      const others = { minutes: all.minutes - mine.minutes, bites: all.bites - mine.bites, compared: 0 }
      return others.minutes > 0 && others.bites > 0 ? rounded(rate(mine) / rate(others), 4) : null
    }
    const finishes = ids.map(id =>
      effect(
        'finish',
        id,
        lure,
        [...rows.get(id)!, ...middle],
        byFinish.get(id)!,
        plainOf(id),
        finishById(id)?.name ?? id,
        lureBites,
      ),
    )
    if (levels.has('finish')) effects.push(...finishes)
    const leader = finishes.filter(f => f.says).reduce<Effect | null>((a, b) => (a && rateAbove(a, b) ? a : b), null)
    if (leader?.plainTimes && leader.chanceBetter < SURE && leader.plainTimes > MISLEADS * leader.times)
      misleading.push({
        finish: finishById(leader.id)?.name ?? leader.id,
        plain: leader.plainTimes,
        times: leader.times,
      })
    const grouped = (level: Level, keysOf: (id: string) => string[], nameOf: (key: string) => string) => {
      const keys = [...new Set(ids.flatMap(keysOf))].sort()
      for (const key of keys) {
        const of = ids.filter(id => keysOf(id).includes(key))
        if (level === 'look' && of.length < 2) continue
        const t = of
          .map(id => byFinish.get(id)!)
          .reduce((a, b) => ({
            minutes: a.minutes + b.minutes,
            bites: a.bites + b.bites,
            compared: a.compared + b.compared,
          }))
        const row = [...of.flatMap(id => scaledRow(rows.get(id)!, 1 / of.length)), ...middle]
        effects.push(effect(level, key, lure, row, t, null, nameOf(key), lureBites))
      }
    }
    if (levels.has('look'))
      grouped(
        'look',
        id => (looks.has(id) ? [looks.get(id)!] : []),
        key =>
          ids
            .filter(id => looks.get(id) === key)
            .map(id => finishById(id)?.name ?? id)
            .join(' or '),
      )
    if (levels.has('family'))
      grouped(
        'family',
        id => (finishById(id)?.families ?? []).slice(0, 1),
        key => key,
      )
    const at = fit.layout.lures.get(lure)
    if (at !== undefined) lureRows.set(lure, [{ at, value: 1 }])
  }
  if (levels.has('lure') && lureRows.size > 1)
    for (const [lure, row] of lureRows) {
      const others = [...lureRows.values()].flatMap(r => scaledRow(r, -1 / lureRows.size))
      const t = byLure.get(lure)!
      effects.push(effect('lure', lure, null, [...row, ...others], t, null, LURES[lure].words, t.compared))
    }
  return { effects, misleading }
}

const rateAbove = (a: Effect, b: Effect) => a.bites / Math.max(0.01, a.hours) >= b.bites / Math.max(0.01, b.hours)

/** Moments in which a lure was in hand, with how long, minutes. */
function momentsOf(strata: readonly Stratum[], lure: LureId): { asked: Request; minutes: number }[] {
  return strata.flatMap(s => s.cells.filter(c => c.lure === lure).flatMap(c => c.fished))
}

/** What a finish's effect is the sum of, its covariates averaged over the moments its lure was fished in. */
function meanRow(
  fit: RigFit,
  lure: LureId,
  finishId: string,
  moments: readonly { asked: Request; minutes: number }[],
  standsOf: StandsOf,
): Row {
  const z = covariatesOf({ lure, finishId, bites: 0, exposure: 0, minutes: 0, fished: [...moments] }, standsOf)
  return rowOf({ ...fit.layout, lures: new Map() }, { lure, finishId }, z)
}

/** Spots and conditions, from half-hours. */
function placeEffects(
  trips: readonly LoggedTrip[],
  strata: readonly Stratum[],
  fit: RigFit,
  standsOf: StandsOf,
  levels: ReadonlySet<Level>,
  units: UnitSystem,
) {
  const etaOf = (c: Stratum['cells'][number]) => sumOf(fit, rowOf(fit.layout, c, covariatesOf(c, standsOf))).mean
  const etas = strata.map(s => s.cells.map(etaOf))
  const [sum, minutes] = strata.reduce(
    ([e, m], s, i) => [
      e + s.cells.reduce((a, c, k) => a + c.minutes * etas[i]![k]!, 0),
      m + s.cells.reduce((a, c) => a + c.minutes, 0),
    ],
    [0, 0],
  )
  const usual = sum / Math.max(1e-9, minutes)
  const halves = strata.map((s, i): HalfHour & { minutes: number } => {
    const stands = standsOf(s.cells[0]!.fished[0]!.asked)
    return {
      trip: s.trip,
      water: trips[s.trip]!.water ?? '',
      spot: s.spot,
      low: stands.dim >= LOW_LIGHT,
      band: bandOf(stands.visibilityM),
      phase: stands.phase,
      bites: s.cells.reduce((n, c) => n + c.bites, 0),
      exposure: s.cells.reduce((e, c, k) => e + c.minutes * Math.exp(etas[i]![k]! - usual), 0),
      minutes: s.cells.reduce((m, c) => m + c.minutes, 0),
    }
  })
  if (!halves.length) return { effects: [], perHour: {}, hotSd: 0.7 }
  const places = fitPlaces(halves)
  const effects: Effect[] = []
  const tell = (
    level: Level,
    id: string,
    within: string | null,
    sumOfIt: { mean: number; sd: number },
    of: typeof halves,
    name: string,
  ) => {
    const shown = timesOf(sumOfIt)
    const hours = of.reduce((s, h) => s + h.minutes, 0) / 60
    const on = new Set(of.map(h => h.trip)).size
    const bites = of.reduce((s, h) => s + h.bites, 0)
    const mayBeSaid = on >= LEAST.placeTrips && hours >= LEAST.placeHours
    effects.push({
      level,
      id,
      within,
      ...shown,
      priorTimes: 1,
      plainTimes: null,
      hours: rounded(hours, 2),
      bites,
      comparedBites: 0,
      moreBites: moreNeeded(bites, sumOfIt.mean, sumOfIt.sd),
      says: mayBeSaid ? said({ code: 'season.place', params: { ...shown, spot: name, trips: on } }, units) : null,
    })
  }
  const among = (
    level: Level,
    keyOf: (h: HalfHour) => string,
    idOf: (h: HalfHour) => string,
    withinOf: (h: HalfHour) => string | null,
  ) => {
    const first = new Map(halves.map(h => [keyOf(h), h]))
    for (const [key, h] of first) {
      const fellows = [...first].filter(([, g]) => withinOf(g) === withinOf(h)).map(([k]) => k)
      if (fellows.length < 2) continue
      const of = halves.filter(g => keyOf(g) === key)
      tell(level, idOf(h), withinOf(h), contrastAmong(places, key, fellows), of, idOf(h))
    }
  }
  if (levels.has('spot')) {
    const named = halves.filter(h => h.spot !== null)
    const first = new Map(named.map(h => [spotKey(h), h]))
    for (const [key, h] of first) {
      const fellows = [...first].filter(([, g]) => g.water === h.water).map(([k]) => k)
      if (fellows.length < 2) continue
      const of = named.filter(g => spotKey(g) === key)
      tell('spot', h.spot!, h.water, contrastAmong(places, key, fellows), of, h.spot!)
    }
  }
  if (levels.has('clarity'))
    among(
      'clarity',
      h => `clarity ${h.band}`,
      h => h.band,
      () => null,
    )
  if (levels.has('light') && places.at.has('light low'))
    tell(
      'light',
      'low',
      null,
      contrastAmong(places, 'light low', []),
      halves.filter(h => h.low),
      'Low light',
    )
  if (levels.has('phase'))
    among(
      'phase',
      h => `phase ${h.phase}`,
      h => h.phase,
      () => null,
    )
  return { effects, perHour: perHourOf(places, halves), hotSd: places.hotSd }
}

/** Bites an hour on each water, over its spots and conditions as they were fished. */
function perHourOf(places: PlaceFit, halves: readonly (HalfHour & { minutes: number })[]): SeasonAnswer['perHour'] {
  const waters = [...new Set(halves.map(h => h.water))].sort()
  const { fit, at, hotSd } = places
  return Object.fromEntries(
    waters.map(water => {
      const mine = halves.filter(h => h.water === water)
      const total = mine.reduce((s, h) => s + h.minutes, 0)
      const row = new Map<number, number>()
      const add = (name: string, value: number) => {
        const i = at.get(name)
        if (i !== undefined) row.set(i, (row.get(i) ?? 0) + value)
      }
      add('level', 1)
      add(`water ${water}`, 1)
      for (const h of mine) {
        const k = h.minutes / Math.max(1e-9, total)
        if (h.spot !== null) add(spotKey(h), k)
        if (h.low) add('light low', k)
        add(`clarity ${h.band}`, k)
        add(`phase ${h.phase}`, k)
      }
      const sum = linearSum(fit, row)
      const [mean, variance] = [Math.log(60) + sum.mean, hotSd ** 2 + sum.variance]
      const { times: best, low, high } = timesOf({ mean, sd: Math.sqrt(variance) })
      return [water, { best, low, high }]
    }),
  )
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
  bites: number,
  compared: number,
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
  if (compared >= LEAST.bites) {
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
