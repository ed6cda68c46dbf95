import { COVARIATES, type Stands } from '#core/season-learning/stands'
import type { LoggedTrip, Stint } from '#core/season-learning/log'
import type { Request } from '#core/request/request'
import { PRIORS, WIDTHS } from '#core/season-learning/rigs'
import { dice } from '../reference/dice'

/** An angler and the fish of his waters, drawn: what is true, and the log of as many trips as are asked for. */
export interface Simulated {
  /** True effects of the finishes, logarithms. */
  truth: Record<string, number>
  trips: LoggedTrip[]
  standsOf: (asked: Request) => Stands
}

const FINISHES = Array.from({ length: 5 }, (_, i) => `jerkbait.f${i}`)
const MOMENTS = 12
const [TRIP_MIN, ROD_MIN] = [270, 15] as const

/**
 * A log drawn from the model's own priors, or with schools that mean nothing.
 * @param schools whether the schools have the effects they are thought to have
 * @param shared slope and effects of the schools to fish by, in the place of drawn ones
 */
export function simulate(seed: number, trips: number, schools: boolean, shared?: readonly number[]): Simulated {
  const { even, normal } = dice(seed)
  const stance = () => Math.max(-1, Math.min(1, 0.4 * normal()))
  const stands = Array.from({ length: MOMENTS }, (): Stands => {
    const z = Object.fromEntries(
      FINISHES.map(f => [f, [0.6 * normal(), ...Array.from({ length: COVARIATES - 1 }, stance)]]),
    )
    return { lure: 'jerkbait', z, dim: even(), visibilityM: 1, phase: 'summer', look: {} }
  })
  const asked = stands.map((_, i): Request => ({
    lure: 'jerkbait',
    water: { visibilityM: 1 + i / 10, tint: 'green' },
    light: { sky: 'clear', sunElevationDeg: 30 },
  }))
  const slope = shared?.[0] ?? PRIORS.slope.mean + PRIORS.slope.sd * normal()
  const drawnDelta = () => (schools ? PRIORS.school * normal() : 0)
  const delta = shared?.slice(1) ?? Array.from({ length: COVARIATES - 1 }, drawnDelta)
  const drawn = even()
  const width = drawn < 0.4 ? WIDTHS[0] : drawn < 0.8 ? WIDTHS[1] : WIDTHS[2]
  const v = FINISHES.map(() => width.sd * normal())
  const etaOf = (f: number, moment: number) => {
    const z = stands[moment]!.z[FINISHES[f]!]!
    return slope * z[0]! + delta.reduce((s, d, k) => s + d * z[k + 1]!, 0) + v[f]!
  }
  const log = Array.from({ length: trips }, (_, n): LoggedTrip => {
    const hot = Math.exp(0.6 * normal())
    const luck = FINISHES.map(() => PRIORS.trip * normal())
    const rods = [...FINISHES.keys()].sort(() => even() - 0.5).slice(0, 3)
    const stints: Stint[] = []
    let moment = Math.floor(even() * MOMENTS)
    for (let from = 0; from < TRIP_MIN; from += ROD_MIN) {
      if (from % 30 === 0) moment = Math.floor(even() * MOMENTS)
      const rod = Math.floor(even() * 3)
      const f = rods[rod]!
      const burst = Math.exp(0.4 * normal())
      const rate = (1.3 / 60) * hot * burst * Math.exp(etaOf(f, moment) + luck[f]!)
      const bites: number[] = []
      for (let at = from; at < from + ROD_MIN; at++) if (even() < rate) bites.push(at + 0.5)
      stints.push({
        who: 0,
        rod,
        lure: 'jerkbait',
        finishId: FINISHES[f]!,
        spot: 's',
        depthM: null,
        fromMin: from,
        toMin: from + ROD_MIN,
        pausedMin: 0,
        casts: null,
        bites,
        landed: 0,
        drawn: true,
        asked: asked[moment]!,
      })
    }
    return {
      id: `trip ${n}`,
      water: 'w',
      startedAt: '2026-05-10T06:00:00Z',
      endedAt: '2026-05-10T10:30:00Z',
      castsCounted: false,
      asItHappened: true,
      asked: asked[0]!,
      stints,
    }
  })
  const mean = v.reduce((s, x) => s + x, 0) / v.length
  return {
    truth: Object.fromEntries(FINISHES.map((f, i) => [f, v[i]! - mean])),
    trips: log,
    standsOf: a => stands[asked.findIndex(q => q.water.visibilityM === a.water.visibilityM)]!,
  }
}
