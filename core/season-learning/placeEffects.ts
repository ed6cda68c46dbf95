import { rounded } from '#core/numeric/rounded'
import { linearSum } from '#core/season-learning/arrow'
import { type Effect, LEAST, type Level, moreNeeded, timesOf } from '#core/season-learning/effect'
import { type HalfHour, type PlaceFit, HOT, contrastAmong, fitPlaces, spotKey } from '#core/season-learning/places'
import type { Prepared } from '#core/season-learning/prepared'
import { type RigFit, meanOf, rowOf } from '#core/season-learning/rigs'
import type { UnitSystem } from '#core/units'
import { said } from '#core/words/sentence'

/** Low light from this grade on. */
const LOW_LIGHT = 0.5
const bandOf = (visibilityM: number) => (visibilityM < 0.6 ? 'under-0.6' : visibilityM <= 2 ? '0.6-2' : 'over-2')
/** A half-hour at a spot, with the minutes that something was in hand. */
type Fished = HalfHour & { minutes: number }

/** Half-hours that were fished, each with how good the rigs in hand were beside what is usual. */
function halvesOf({ trips, strata, standsOf, zOf }: Prepared, fit: RigFit): Fished[] {
  const etas = strata.map(s => s.cells.map(c => meanOf(fit, rowOf(fit.layout, c, zOf(c)))))
  const [sum, minutes] = strata.reduce(
    ([e, m], s, i) => [
      e + s.cells.reduce((a, c, k) => a + c.minutes * etas[i]![k]!, 0),
      m + s.cells.reduce((a, c) => a + c.minutes, 0),
    ],
    [0, 0],
  )
  const usual = sum / Math.max(1e-9, minutes)
  return strata.map((s, i): Fished => {
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
}

/** Spots and conditions, from half-hours. */
export function placeEffects(log: Prepared, fit: RigFit, levels: ReadonlySet<Level>, units: UnitSystem) {
  const halves = halvesOf(log, fit)
  if (!halves.length) return { effects: [], perHour: {}, hotSd: HOT.sd }
  const places = fitPlaces(halves)
  const effects: Effect[] = []
  const tell = (
    level: Level,
    id: string,
    within: string | null,
    sumOfIt: { mean: number; sd: number },
    of: readonly Fished[],
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
    those: readonly Fished[],
    keyOf: (h: HalfHour) => string,
    idOf: (h: HalfHour) => string,
    withinOf: (h: HalfHour) => string | null,
  ) => {
    const first = new Map(those.map(h => [keyOf(h), h]))
    for (const [key, h] of first) {
      const fellows = [...first].filter(([, g]) => withinOf(g) === withinOf(h)).map(([k]) => k)
      if (fellows.length < 2) continue
      const of = those.filter(g => keyOf(g) === key)
      tell(level, idOf(h), withinOf(h), contrastAmong(places, key, fellows), of, idOf(h))
    }
  }
  if (levels.has('spot'))
    among(
      'spot',
      halves.filter(h => h.spot !== null),
      spotKey,
      h => h.spot!,
      h => h.water,
    )
  if (levels.has('clarity'))
    among(
      'clarity',
      halves,
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
      halves,
      h => `phase ${h.phase}`,
      h => h.phase,
      () => null,
    )
  return { effects, perHour: perHourOf(places, halves), hotSd: places.hotSd }
}

/** Bites an hour on each water, over its spots and conditions as they were fished. */
function perHourOf(places: PlaceFit, halves: readonly Fished[]) {
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
