import { createInterface } from 'node:readline'
import '../tests/lightTable'
import { LightProfile } from '#core/light-field/profile'
import { BEAM_COLUMNS, COLUMN } from '#core/light-field/table'
import { uniformFrom } from '#core/numeric/uniform'
import { backscatterShare } from '#core/water/backscatter'
import { type Phase, backOf } from './light-table/phase'
import { type Followed, followPhotons } from './light-table/photons'
import { type LightAt, solver } from './light-table/solver'

/**
 * `npm run -s light`: reads JSON lines {"omega", "tau", "sun" (cosine under water, null for the even sky), "back"?,
 * "solver"?, "photons"?} and prints the light there per unit of irradiance let in, from the table, from the solver
 * itself, or counted photon by photon, with the standard errors of that.
 */
interface Ask {
  omega: number
  tau: number
  sun: number | null
  /** Backscatter share; that of Henyey-Greenstein particles of 0.924 where absent. */
  back?: number
  solver?: boolean
  /** How many photons to follow; a beam and the usual particles only. */
  photons?: number
}

const PARTICLES: Phase = { g: 0.924, rayleigh: 0 }

/** The phase function with a backscatter share: sharper particles below the usual ones, water's own above. */
function phaseOf(back: number): Phase {
  const usual = backOf(PARTICLES)
  if (back >= usual) return { g: PARTICLES.g, rayleigh: (back - usual) / (0.5 - usual) }
  let [blunt, sharp] = [PARTICLES.g, 0.9999]
  for (let i = 0; i < 60; i++) {
    const g = (blunt + sharp) / 2
    if (backscatterShare(g) > back) blunt = g
    else sharp = g
  }
  return { g: sharp, rayleigh: 0 }
}

function lookedUp({ omega, tau, sun }: Ask, share: number): LightAt {
  const v = new Float64Array(BEAM_COLUMNS)
  new LightProfile({ omega, share }, sun === null ? { even: 1 } : { beam: { mu: sun, weight: 1 } }).at(tau, v)
  const of = (c: keyof typeof COLUMN) => v[COLUMN[c]]!
  return {
    ed: of('ed'),
    eu: of('eu'),
    e0: of('e0'),
    eSide: {
      mean: of('eSide'),
      toward: of('eSideToward'),
      across: of('eSideAcross'),
      away: of('eSideAway'),
    },
    lh: { mean: of('lh'), toward: of('lhToward'), across: of('lhAcross'), away: of('lhAway') },
    lZen: of('lZen'),
    lNad: of('lNad'),
  }
}

const inRange = (v: unknown, low: number, high: number) => typeof v === 'number' && v >= low && v <= high

/** What a line asks for, or what is wrong with it. */
function answer(line: string): LightAt | Followed | { error: string } {
  let ask: Ask
  try {
    ask = JSON.parse(line) as Ask
  } catch {
    return { error: 'not JSON' }
  }
  if (!inRange(ask.omega, 0, 0.9999)) return { error: 'omega must be from 0 to below 1' }
  if (!inRange(ask.tau, 0, Infinity)) return { error: 'tau must be 0 or more' }
  if (ask.sun !== null && !inRange(ask.sun, 0.6, 1)) return { error: 'sun must be null or a cosine of 0.6-1' }
  if (ask.back !== undefined && !inRange(ask.back, 0.001, 0.5)) return { error: 'back must be from 0.001 to 0.5' }
  if (ask.photons !== undefined) {
    if (ask.sun === null || ask.back !== undefined) return { error: 'photons come from a sun, through usual particles' }
    if (!inRange(ask.photons, 100, 1e9)) return { error: 'photons must be from 100 to 1e9' }
    return followPhotons(PARTICLES, ask.omega, { tau: ask.tau, mu: ask.sun }, ask.photons, uniformFrom(1))
  }
  const back = ask.back ?? backOf(PARTICLES)
  if (!ask.solver) return lookedUp(ask, back)
  return solver(
    phaseOf(back),
    ask.omega,
  )(ask.sun === null ? { kind: 'even' } : { kind: 'beam', mu: ask.sun }).at(ask.tau)
}

for await (const line of createInterface({ input: process.stdin })) {
  if (line.trim()) console.log(JSON.stringify(answer(line)))
}
