import { TOPICS } from '#core/words/drills'
import { drillOf } from '#core/bench/drills'
import { dayAnswer } from '#core/day/answer'
import type { DayRequest } from '#core/day/request'
import { dayOf, scoreStep } from '#core/day/scores'
import { readWater } from '#core/evidence/readWater'
import { kitOf } from '#core/kit/kit'
import { sampleScenes } from '#core/kit/sample'
import { scoreScene } from '#core/kit/scenes'
import { uniformFrom } from '#core/numeric/uniform'
import type { Reading } from '#core/request/readings'
import { trialOrder } from '#core/trial/order'
import { type Block, trialVerdict } from '#core/trial/verdict'
import { toFigures } from './figures'

const told = (v: unknown) => toFigures(v, 6)
const each = <T>(of: Readonly<Record<string, T>>, work: (v: T) => unknown) =>
  Object.fromEntries(Object.entries(of).map(([name, v]) => [name, told(work(v))]))

const DISC: Reading = { kind: 'disc', depthM: 1.2 }
/** A meter let down: light falls by so much a metre, red, green and blue each in their way. */
const meter = (fall: number, [red, green, blue]: readonly number[] = []): Reading => ({
  kind: 'light',
  samples: [0.2, 0.5, 0.9, 1.4].map(depthM => {
    const left = (k: number) => 2e4 * Math.exp(-k * depthM)
    return { depthM, lux: left(fall), ...(red && { red: left(red), green: left(green!), blue: left(blue!) }) }
  }),
})
const READINGS: Record<string, Reading[]> = {
  'a disc': [DISC],
  'white and black': [
    { kind: 'target', target: 'white', depthM: 1 },
    { kind: 'target', target: 'black', depthM: 0.55 },
  ],
  'two finishes': [
    { kind: 'target', target: 'jerkbait.bone', depthM: 1.6 },
    { kind: 'target', target: 'spinnerbait.all-black', depthM: 0.9 },
  ],
  'motor and boots': [
    { kind: 'seen-to', what: 'motor', depthM: 0.6 },
    { kind: 'seen-to', what: 'boots', depthM: 0.7 },
  ],
  'a gauge and a look': [
    { kind: 'turbidity', fnu: 22 },
    { kind: 'look', tint: 'brown' },
  ],
  'a jar and a disc': [{ kind: 'jar', water: '#a06a20', paper: '#f1efe8', pathM: 0.08 }, DISC],
  'a meter': [meter(1.6)],
  'a meter of colours': [meter(1.6, [1.2, 1.5, 4])],
  'what disagrees': [{ kind: 'disc', depthM: 4 }, { kind: 'turbidity', fnu: 60 }, meter(3)],
}
/** A meter that was let down carelessly, which no water fits well. */
const ROUGH: Reading = {
  kind: 'light',
  samples: [0.2, 0.5, 0.9, 1.4].map((depthM, i) => ({
    depthM,
    lux: 2e4 * Math.exp(-1.6 * depthM) * [1, 1.14, 0.92, 1.1][i]!,
  })),
}
/** Discs beside it, and which of the two are at odds. */
const besideRough = () =>
  [0.09, 0.1, 0.11, 0.12, 0.13, 0.14, 1, 5, 5.5, 6, 6.5, 7, 7.5].map(depthM => {
    const { conflicts } = readWater([{ kind: 'disc', depthM }, ROUGH], 'fresh', 'metric')
    return `${depthM} m: ${conflicts.map(c => `${c.code} ${c.paths.join()}`).join('; ')}`
  })
export const readingsOf = () => ({
  besideRough: besideRough(),
  fresh: each(READINGS, r => readWater(r, 'fresh', 'us')),
  salt: each(READINGS, r => readWater(r, 'salt', 'metric')),
  early: each(READINGS, r => readWater(r, 'fresh', 'metric', { sky: 'clear', sunElevationDeg: 12 })),
})

const blocks = (...bites: [number, number][]): Block[] =>
  bites.map(([a, b]) => ({ a: { casts: 15, bites: a }, b: { casts: 15, bites: b } }))
const TRIALS: Record<string, Block[]> = {
  'nothing yet': [],
  'none cast': blocks([2, 0]).concat({ a: { casts: 0, bites: 0 }, b: { casts: 0, bites: 0 } }),
  'one cast': [{ a: { casts: 1, bites: 1 }, b: { casts: 0, bites: 0 } }],
  'no bites': blocks([0, 0], [0, 0]),
  'early': blocks([1, 0]),
  'alike': blocks([2, 2], [3, 2], [1, 2], [2, 3]),
  'leaning': blocks([3, 1], [2, 1], [4, 2], [2, 0]),
  'settled': blocks([6, 0], [5, 1], [7, 0], [6, 1], [5, 0]),
  'uneven casts': [{ a: { casts: 30, bites: 4 }, b: { casts: 10, bites: 0 } }],
}
export const trialsOf = () => ({ order: trialOrder(10, 42), verdicts: each(TRIALS, trialVerdict) })

/** A question of each topic for who begins and for who is seldom wrong. */
export const drillsOf = () =>
  Object.fromEntries(
    TOPICS.map(topic => [topic, [0, 1].flatMap(level => [3, 4].map(seed => told(drillOf(topic, seed, level, 'us'))))]),
  )

const WATERS = [
  { visibilityM: 1.4, tint: 'green', salinity: 'fresh', latitude: 35, longitude: -84, prey: ['shad'] },
  { visibilityM: 0.6, tint: 'brown', salinity: 'fresh', latitude: -33, longitude: 151, prey: [] },
] as const
export function kitsOf() {
  const lures = ['jerkbait', 'spinnerbait'] as const
  const ask = { waters: WATERS, lures, species: 'largemouth-bass', moments: 12, year: 2026 } as const
  const scenes = sampleScenes(ask, uniformFrom(5))
  const owned = ['jerkbait.bone', 'jerkbait.black', 'jerkbait.white', 'spinnerbait.all-black', 'spinnerbait.white-gold']
  const scored = scenes.map(s => scoreScene(s))
  return {
    scenes: told(scenes),
    kit: told(kitOf(scored, { owned, sizes: [1, 3], keep: [], drop: [] })),
    pinned: told(kitOf(scored, { owned, sizes: [2, 2], keep: ['jerkbait.black'], drop: ['jerkbait.white'] })),
    elsewhere: told(kitOf(scored, { owned, sizes: [1, 3], keep: ['jerkbait.black', 'tube.black'], drop: [] })),
  }
}

const DAY: DayRequest = {
  date: '2026-05-10',
  place: { latitude: 34.9, longitude: -84.3, utcOffsetMin: -240 },
  from: '05:00',
  to: '13:00',
  water: { visibilityM: 1.2, tint: 'green' },
  hours: [
    { at: '06:00', cloud: 0.7, wind: 'calm', temperatureC: 15 },
    { at: '09:00', lightning: true },
    { at: '10:00', lightning: false, cloud: 0.1, wind: 'chop', temperatureC: 17, visibilityM: 0.8 },
  ],
  bank: { facingDeg: 90, heightM: 12, acrossM: 40 },
  lures: [{ lure: 'jerkbait' }, { lure: 'walking-topwater', place: 'shade' }],
  packMost: 3,
  changeCost: 0.01,
}
export function daysOf() {
  const plan = (r: DayRequest) => {
    const day = dayOf(r)
    return told(
      dayAnswer(
        r,
        day,
        r.lures.map(lane => day.steps.map(s => scoreStep(r, day, s, lane))),
      ),
    )
  }
  return { spring: plan(DAY), unhurried: plan({ ...DAY, changeCost: 0.2, minSpellMin: 90, stepMin: 60 }) }
}
