import { DAY_MIN } from '#core/units'
import { minutesOf } from '#core/day/clock'
import type { DayHour } from '#core/day/request'
import { type SkyKind, type Wind, skyWord } from '#core/sky/weather'
import type { Tide } from '#core/request/request'

/** What the day is like at one moment of it; what no hour tells is null. */
export interface Weather {
  cloud: number
  rain: boolean
  wind: Wind
  lightning: boolean
  temperatureC: number | null
  visibilityM: number | null
  tide: Tide | null
  sky: SkyKind
}

/** A sky that no hour tells of: half cloud, no wind. */
const USUAL_CLOUD = 0.5
type Told<T> = { atMin: number; value: T }[]

/** A figure at a moment: straight between the hours that tell it, in the scale given, and held outside them. */
function figureAt(told: Told<number>, min: number, scale: { to: (v: number) => number; from: (v: number) => number }) {
  if (!told.length) return null
  const after = told.findIndex(t => t.atMin >= min)
  if (after === 0) return told[0]!.value
  if (after < 0) return told.at(-1)!.value
  const [a, b] = [told[after - 1]!, told[after]!]
  const k = (min - a.atMin) / (b.atMin - a.atMin)
  return scale.from(scale.to(a.value) * (1 - k) + scale.to(b.value) * k)
}
const STRAIGHT = { to: (v: number) => v, from: (v: number) => v }
/** Water clears and clouds by shares. */
const BY_SHARES = { to: Math.log, from: Math.exp }

/** A word at a moment: that of the last hour that tells it, or of the first. */
function wordAt<T>(told: Told<T>, min: number): T | null {
  const passed = told.filter(t => t.atMin <= min)
  return (passed.at(-1) ?? told[0])?.value ?? null
}

/**
 * The weather at any minute of a day, from a forecast that may have holes: each thing is taken from the hours that tell
 * it.
 * @param fromMin where the day begins; hours before it are of the next morning where the day goes on past midnight
 */
export function weatherOf(hours: readonly DayHour[], fromMin: number, toMin: number): (min: number) => Weather {
  const placed = hours
    .map(hour => {
      const atMin = minutesOf(hour.at)
      return { hour, atMin: toMin > DAY_MIN && atMin < fromMin ? atMin + DAY_MIN : atMin }
    })
    .sort((a, b) => a.atMin - b.atMin)
  const told = <K extends keyof DayHour>(key: K): Told<NonNullable<DayHour[K]>> =>
    placed.flatMap(({ hour, atMin }) => (hour[key] === undefined ? [] : [{ atMin, value: hour[key] }]))
  const cloud = told('cloud')
  /** An hour that does not speak of rain or lightning has none. */
  const flagged = (key: 'rain' | 'lightning') => placed.map(({ hour, atMin }) => ({ atMin, value: hour[key] ?? false }))
  const rain = flagged('rain')
  const wind = told('wind')
  const lightning = flagged('lightning')
  const temperature = told('temperatureC')
  const visibility = told('visibilityM')
  const tide = told('tide')
  return min => {
    const rains = wordAt(rain, min) ?? false
    const cover = figureAt(cloud, min, STRAIGHT) ?? (rains ? 1 : USUAL_CLOUD)
    return {
      cloud: cover,
      rain: rains,
      wind: wordAt(wind, min) ?? 'calm',
      lightning: wordAt(lightning, min) ?? false,
      temperatureC: figureAt(temperature, min, STRAIGHT),
      visibilityM: figureAt(visibility, min, BY_SHARES),
      tide: wordAt(tide, min),
      sky: skyWord(cover, rains),
    }
  }
}
