import { dayAnswer } from '#core/day/answer'
import { type DayScores, planDay } from '#core/day/plan'
import type { DayRequest } from '#core/day/request'
import { dayOf, scoreStep } from '#core/day/scores'
import { table } from './timing'

const WATERS: readonly [string, DayRequest['water'], latitude: number][] = [
  ['clear reservoir', { visibilityM: 4.5, tint: 'blue-clear' }, 35.2],
  ['green pond', { visibilityM: 1.1, tint: 'green' }, 34.9],
  ['tea creek', { visibilityM: 0.9, tint: 'tea' }, 34],
  ['silty oxbow', { visibilityM: 0.35, tint: 'brown' }, 33.4],
  ['estuary sound', { visibilityM: 1.4, tint: 'green', salinity: 'salt' }, 32.1],
]
const SEASONS: readonly [string, temperatureC: number][] = [
  ['2026-01-15', 8],
  ['2026-04-15', 17],
  ['2026-07-15', 28],
  ['2026-10-15', 19],
]
const LURES = ['walking-topwater', 'spinnerbait', 'jerkbait', 'stick-worm'] as const

/** A whole plan, four lures in half-hour steps, first light to an hour after the last. */
function plan(r: DayRequest): { steps: number; scoredMs: number; plannedMs: number; wordedMs: number } {
  const began = performance.now()
  const day = dayOf(r)
  const scores: DayScores = r.lures.map(lane => day.steps.map(step => scoreStep(r, day, step, lane)))
  const scored = performance.now()
  const planned = planDay(r, day, scores)
  const at = performance.now()
  dayAnswer(r, day, scores, planned)
  const ended = performance.now()
  return { steps: day.steps.length, scoredMs: scored - began, plannedMs: at - scored, wordedMs: ended - at }
}

export function benchDay(): void {
  const asked = (water: DayRequest['water'], latitude: number, date: string, temperatureC: number): DayRequest => ({
    date,
    place: { latitude, longitude: -83.5, utcOffsetMin: -300 },
    water: { ...water, temperatureC },
    hours: [
      { at: '06:00', cloud: 0.2 },
      { at: '14:00', cloud: 0.7, wind: 'chop' },
    ],
    lures: LURES.map(lure => ({ lure })),
    packMost: 7,
  })
  plan(asked(WATERS[0]![1], 35, '2026-05-01', 18))
  const rows = WATERS.flatMap(([name, water, latitude]) =>
    SEASONS.map(([date, temperatureC]) => {
      const { steps, scoredMs, plannedMs, wordedMs } = plan(asked(water, latitude, date, temperatureC))
      return [`${name}, ${date}`, steps, scoredMs, plannedMs, wordedMs, scoredMs + plannedMs + wordedMs]
    }),
  )
  table(
    'A day’s plan, four lures (target: under 2,000 ms)',
    ['water, date', 'steps', 'scored', 'planned', 'worded', 'ms'],
    rows,
  )
}
