import { DAY_MIN, HOUR_MIN, MINUTE_MS } from '#core/units'
import { midnightMs } from '#core/day/clock'
import type { DayHour } from '#core/day/request'
import { windWord } from '#core/sky/weather'
import type { ForecastOut, ForecastQuery } from '#shared/schema/forecast'
import { type Fetch, type Observation, observed, streamsOf } from './station'

/** From this rain on it rains, mm/h; and from this probability on the water is left, per cent. */
const RAINS = 0.2
const LIGHTNING = 40

const two = (n: number) => String(n).padStart(2, '0')

/** When the day begins that a forecast is asked for; not a number where it is no date. */
export const beginningOf = ({ date, utcOffsetMin }: ForecastQuery): number => midnightMs(date, Number(utcOffsetMin))

/**
 * The day's forecast and tide from a SensorThings station (OGC 18-088, part 1).
 * @param base address of the service, up to its version
 * @param midnightMs the day's beginning on the clock of its place
 * @param simulated whether what it tells is made up, as the operator says
 */
export async function readForecast(
  base: string,
  midnightMs: number,
  simulated: boolean,
  fetcher: Fetch = fetch,
): Promise<ForecastOut> {
  const streams = await streamsOf(base, fetcher)
  const of = async (name: string) => {
    const link = streams.get(name)
    return link ? observed(link, midnightMs, midnightMs + DAY_MIN * MINUTE_MS, fetcher) : []
  }
  const [cloud, wind, rain, lightning, level] = await Promise.all(
    ['cloud cover', 'wind speed', 'precipitation rate', 'lightning probability', 'sea level'].map(of),
  )
  const hours = new Map<number, DayHour>()
  const put = (list: Observation[], patch: (v: number) => Partial<DayHour>) => {
    for (const { ms, result } of list) {
      const hour = Math.floor((ms - midnightMs) / (HOUR_MIN * MINUTE_MS))
      if (hour < 0 || hour > 23) continue
      hours.set(hour, { ...(hours.get(hour) ?? { at: `${two(hour)}:00` }), ...patch(result) })
    }
  }
  put(cloud!, v => ({ cloud: Math.min(1, Math.max(0, v / 100)) }))
  put(wind!, v => ({ wind: windWord(v) }))
  put(rain!, v => ({ rain: v >= RAINS }))
  put(lightning!, v => ({ lightning: v >= LIGHTNING }))
  return {
    simulated,
    hours: [...hours].sort(([a], [b]) => a - b).map(([, h]) => h),
    tide: level!.map(({ ms, result }) => ({ atMin: (ms - midnightMs) / MINUTE_MS, heightM: result })),
  }
}
