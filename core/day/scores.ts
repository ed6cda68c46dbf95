import { rounded } from '#core/numeric/rounded'
import { dayClock, type DayClock, type Step } from '#core/day/clock'
import { type Weather, weatherOf } from '#core/day/forecast'
import type { DayLane, DayRequest } from '#core/day/request'
import { shadeM } from '#core/day/shade'
import type { COLOUR_MATTERS } from '#core/ranking/answer'
import type { Finish } from '#core/lure/finish'
import type { Lean } from '#core/ranking/judge'
import { colourMattersOf } from '#core/ranking/colourMatters'
import { type Worked, rank } from '#core/ranking/recommend'
import { bestReason, differs, goodReasons } from '#core/ranking/rotation'
import type { Request } from '#core/request/request'
import { cautionsOf } from '#core/rules/advisories'
import { againstLure } from '#core/rules/windows'
import { lookAlikeGroups } from '#core/sight/likeness'
import { sunBearingDeg, sunElevationDeg } from '#core/sky/sun'
import type { Sentence } from '#core/words/sentence'

/** One step of the day, before any lure is looked at. */
export interface DayStep extends Step {
  weather: Weather
  sunElevationDeg: number
  sunBearingDeg: number
  /** How far the bank's shadow reaches out, m; null without a bank. */
  shadeM: number | null
}

/** A day laid out: its clock and its steps. */
export interface Day {
  clock: DayClock
  steps: readonly DayStep[]
  /** Finishes of an angler's own that are ranked beside the catalogue's. */
  own: readonly Finish[]
  /** How far the angler's log shifts the weights of the schools. */
  lean: Lean
}

/** What the engine says of one lure in one step. */
export interface StepScores {
  /** The score of every finish of the lure, by id. */
  scores: Readonly<Record<string, number>>
  best: string
  /** Another finish that differs in kind is as good as the best, nearly. */
  tossUp: boolean
  matters: (typeof COLOUR_MATTERS)[number]
  lux: number
  cautions: Sentence[]
  /** Where the lure is outside its window. */
  windows: Sentence[]
}

/** A shadow narrower than this is no place to fish: 6 ft. */
const WIDE_ENOUGH_M = 1.8
/** Scores this near the best are a toss-up where the finish is another in kind. Ours. */
const TOSS_UP = { score: 0.03, differs: 0.5 }

export function dayOf(r: DayRequest, own: readonly Finish[] = [], lean: Lean = {}): Day {
  const clock = dayClock(r)
  const weather = weatherOf(r.hours ?? [], clock.fromMin, clock.toMin)
  const { latitude: latitudeDeg, longitude: longitudeDeg } = r.place
  const steps = clock.steps.map(step => {
    const at = { timeMs: clock.msAt(step.atMin), latitudeDeg, longitudeDeg }
    const sun = { sunElevationDeg: sunElevationDeg(at), sunBearingDeg: sunBearingDeg(at) }
    const shade = r.bank ? shadeM(r.bank, sun.sunElevationDeg, sun.sunBearingDeg) : null
    return { ...step, ...sun, weather: weather(step.atMin), shadeM: shade }
  })
  return { clock, steps, own, lean }
}

/** Whether the lane's lure is in the bank's shade in a step: only where it is fished there and the shade is wide. */
export const inShade = (lane: DayLane, step: DayStep): boolean =>
  lane.place === 'shade' && (step.shadeM ?? 0) >= WIDE_ENOUGH_M

/** The request for a ranking in a step of the day. */
export function requestAt(r: DayRequest, { clock }: Day, step: DayStep, lane: DayLane): Request {
  const { weather } = step
  const { hours: _h, bank: _b, lures: _l, date: _d, place, from: _f, to: _t, water, ...rest } = r
  const { changeCost: _c, minSpellMin: _m, packMost: _p, stepMin: _s, detail: _e, ...asked } = rest
  return {
    ...asked,
    lure: lane.lure,
    ...(lane.depthM === undefined ? {} : { depthM: lane.depthM }),
    water: {
      ...water,
      ...(weather.temperatureC === null ? {} : { temperatureC: weather.temperatureC }),
      ...(weather.visibilityM === null ? {} : { visibilityM: weather.visibilityM }),
      ...(weather.tide === null ? {} : { tide: weather.tide }),
    },
    light: {
      sky: weather.sky,
      cloud: weather.cloud,
      wind: weather.wind,
      ...(inShade(lane, step) ? { canopy: 'bank-shade' as const } : {}),
      at: {
        time: new Date(clock.msAt(step.atMin)).toISOString(),
        latitude: place.latitude,
        longitude: place.longitude,
      },
    },
  }
}

function tossUpOf({ ranked }: Worked): boolean {
  const [first] = ranked
  for (const j of ranked) {
    if (first!.score - j.score > TOSS_UP.score) return false
    if (differs(j, first!) >= TOSS_UP.differs) return true
  }
  return false
}

/** Rank one lure in one step: the heavy part of a plan, a full ranking without its reasons. Null ashore. */
export function scoreStep(r: DayRequest, day: Day, step: DayStep, lane: DayLane): StepScores | null {
  if (step.weather.lightning) return null
  const worked = rank(requestAt(r, day, step, lane), day.own, day.lean)
  const { ranked, moment } = worked
  return {
    scores: Object.fromEntries(ranked.map(j => [j.finish.id, rounded(j.score)])),
    best: ranked[0]!.finish.id,
    tossUp: tossUpOf(worked),
    matters: colourMattersOf(ranked.length, lookAlikeGroups(ranked), moment).level,
    lux: moment.scene.sky.lux,
    cautions: cautionsOf(moment),
    windows: againstLure(moment).map(w => w.says),
  }
}

/** A reason by what it says, whatever the figures in it. */
const sameReason = (s: Sentence) => (s.code === 'custom' ? `custom ${s.params.id}` : s.code)

/**
 * What carries a finish through its hours: of what speaks for it in every one of some steps, what speaks most in all of
 * them together; where nothing does, what speaks most in the first of them. The words are the first step's.
 */
export function whyThrough(r: DayRequest, day: Day, steps: readonly DayStep[], lane: DayLane, id: string): Sentence {
  const each = steps.map(step => {
    const { ranked, judge } = rank(requestAt(r, day, step, lane), day.own, day.lean)
    const mine = ranked.find(j => j.finish.id === id)!
    return { best: bestReason(mine, judge), good: goodReasons(mine, judge) }
  })
  const [first, ...others] = each
  let carries = { effect: 0, says: first!.best }
  for (const { effect, says } of first!.good) {
    const same = others.map(o => o.good.find(g => sameReason(g.says) === sameReason(says)))
    if (same.some(g => !g)) continue
    const together = effect + same.reduce((sum, g) => sum + g!.effect, 0)
    if (together > carries.effect) carries = { effect: together, says }
  }
  return carries.says
}
