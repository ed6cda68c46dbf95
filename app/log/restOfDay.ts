import { SKIES, type Wind, WINDS, skyWord } from '#core/sky/weather'
import { weatherOf } from '#core/day/forecast'
import type { Pin } from '#core/day/pins'
import type { DayHour, DayRequest } from '#core/day/request'
import { USUAL_CHANGE_COST } from '#core/day/plan'
import type { StepScores } from '#core/day/scores'
import { rounded } from '#core/numeric/rounded'
import type { Request } from '#core/request/request'
import { DAY_MIN, HOUR_MIN, MINUTE_MS } from '#core/units'
import type { ComingChange, Rod } from '#shared/schema/record'
import type { DayShown, PlanShown } from '~/day/work'
import { clockOf } from '#core/day/clock'
import { localTime, minuteOfDay } from '~/reading/clock'

const HOURS = 24
const KINDS = Object.keys(WINDS) as Wind[]

/** Cloud cover in conditions, 0 to 1. */
export const cloudOf = ({ light }: Request): number => light.cloud ?? SKIES[light.sky].cloud

/** Conditions under another cloud and wind. */
export function underSky(asked: Request, { cloud, wind }: { cloud: number; wind: Wind }): Request {
  const rain = asked.light.sky === 'rain' && cloud >= SKIES.rain.cloud
  return { ...asked, light: { ...asked.light, cloud, sky: skyWord(cloud, rain), wind } }
}

/**
 * The hours to come: as foretold, moved by as much as cloud and wind stand otherwise now than was foretold of now; all
 * alike where nothing was foretold.
 */
export function hoursToCome(noted: Request, foretold: readonly DayHour[] | undefined, nowMin: number): DayHour[] {
  const [cloud, wind] = [cloudOf(noted), noted.light.wind ?? 'calm']
  const now = { cloud, wind, rain: noted.light.sky === 'rain' }
  if (!foretold?.length) return [{ at: clockOf(0), ...now }]
  const told = weatherOf(foretold, 0, DAY_MIN)
  const before = told(nowMin)
  const further = { cloud: cloud - before.cloud, wind: KINDS.indexOf(wind) - KINDS.indexOf(before.wind) }
  return Array.from({ length: HOURS }, (_, h): DayHour => {
    const { cloud, wind, rain, lightning } = told(h * HOUR_MIN)
    return {
      at: clockOf(h * HOUR_MIN),
      cloud: rounded(Math.min(1, Math.max(0, cloud + further.cloud)), 2),
      wind: KINDS[Math.min(KINDS.length - 1, Math.max(0, KINDS.indexOf(wind) + further.wind))]!,
      rain,
      lightning,
    }
  })
}

/** What the rest of a trip's day is planned from. */
export interface RestOf {
  noted: Request
  /** Where it is fished. */
  place: { latitude: number; longitude: number }
  rods: readonly Rod[]
  /** What its kept plan asked, where it was rigged by one. */
  planned: DayRequest | null
  /** Finishes each lure may be changed to; all where it is empty. */
  owned: (lure: Rod['lure']) => string[]
  fromMs: number
  zone: string
}

/** What is asked of the rest of a day; from the half-hour that is fished on. */
export function restRequest({ noted, place, rods, planned, owned, fromMs, zone }: RestOf): DayRequest {
  const { lure: _l, light: _g, depthM: _d, limit: _m, fishedThrough: _f, bitesRefused: _b, ...asked } = noted
  const local = localTime(fromMs, zone)
  const nowMin = minuteOfDay(fromMs, zone)
  const limits = planned && { packMost: planned.packMost, minSpellMin: planned.minSpellMin, to: planned.to }
  return {
    ...asked,
    date: local.toISODate()!,
    place: { ...place, utcOffsetMin: local.offset },
    from: clockOf(Math.min(DAY_MIN - STEP_MIN, Math.floor(nowMin / STEP_MIN) * STEP_MIN)),
    ...Object.fromEntries(Object.entries(limits ?? {}).filter(([, v]) => v !== undefined)),
    hours: hoursToCome(noted, planned?.hours, nowMin),
    lures: rods.map(({ lure, finishId }) => {
      const mine = owned(lure)
      return mine.length ? { lure, finishIds: [...new Set([...mine, finishId])] } : { lure }
    }),
    changeCost: planned?.changeCost ?? USUAL_CHANGE_COST,
  }
}
const STEP_MIN = 30

/**
 * The rods whose changes are planned: the first of each lure. Others of the same lure carry what differs from it, and
 * are not told to tie on the same thing.
 */
export const plannedRods = (rods: readonly Rod[]): number[] =>
  rods.flatMap(({ lure }, i) => (rods.findIndex(r => r.lure === lure) === i ? [i] : []))

/** Changes that are held to come, as the plan has them: each from what is on its rod before. */
export function heldPins(held: readonly ComingChange[], rods: readonly Rod[], fromMs: number, zone: string): Pin[] {
  const minute = (at: string) => minuteOfDay(fromMs, zone) + (Date.parse(at) - fromMs) / MINUTE_MS
  return rods.flatMap((rod, lane) => {
    const mine = held.filter(c => c.rod === lane && Date.parse(c.at) > fromMs).sort((a, b) => a.at.localeCompare(b.at))
    return mine.map((c, i): Pin => ({
      lane,
      fromMin: i ? minute(mine[i - 1]!.at) : 0,
      atMin: minute(c.at),
      toMin: mine[i + 1] ? minute(mine[i + 1]!.at) : minute(c.at) + HOUR_MIN,
      before: mine[i - 1]?.finishId ?? rod.finishId,
      after: c.finishId,
    }))
  })
}

/** A change to come with why. */
export interface PlannedChange extends ComingChange {
  why: string
}

/**
 * The changes of a planned rest of the day. What the plan would have on a rod now and is not is a change at once where
 * it wins back what a change costs; else the rod keeps what it has until the plan changes again.
 */
export function changesOfRest(
  { plan, light, scored }: { plan: PlanShown; light: DayShown; scored: (StepScores | null)[][] },
  rods: readonly Rod[],
  held: readonly ComingChange[],
  fromMs: number,
  zone: string,
): PlannedChange[] {
  const nowMin = minuteOfDay(fromMs, zone)
  const momentOf = (min: number) => new Date(fromMs + (min - nowMin) * MINUTE_MS).toISOString()
  const hours = (step: number) => (light.steps[step]!.endMin - light.steps[step]!.atMin) / HOUR_MIN
  return plan.lanes.flatMap((lane, rod) => {
    const on = rods[rod]?.finishId
    const [first] = lane
    const won = (finishId: string) => {
      let sum = 0
      for (let t = first!.from; t < first!.to; t++) {
        const scores = scored[rod]?.[t]?.scores
        sum += scores ? ((scores[finishId] ?? 0) - (scores[on!] ?? 0)) * hours(t) : 0
      }
      return sum
    }
    let before = on
    return lane.flatMap((spell, i): PlannedChange[] => {
      const worth = i > 0 || won(spell.finishId) > USUAL_CHANGE_COST
      if (spell.finishId === before || !worth) return []
      before = spell.finishId
      const at = i ? momentOf(light.steps[spell.from]!.atMin) : new Date(fromMs).toISOString()
      const isHeld = held.some(c => c.rod === rod && c.finishId === spell.finishId && near(c.at, at))
      return [{ rod, at, finishId: spell.finishId, why: spell.why, ...(isHeld ? { held: true } : {}) }]
    })
  })
}
/** A held change may come out at the nearest step. */
const near = (a: string, b: string) => Math.abs(Date.parse(a) - Date.parse(b)) <= STEP_MIN * MINUTE_MS
