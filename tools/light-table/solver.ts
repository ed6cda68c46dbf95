import { EigenvalueDecomposition, LuDecomposition, Matrix } from 'ml-matrix'
import { WATER_INDEX, internalReflectance } from '#core/sky/surface'
import { type SkyShape, skyShape } from '#core/sky/shapes'
import { type Phase, moment, phaseAt } from './phase'
import { associated, gauss } from './quadrature'

/**
 * Plane-parallel radiative transfer in uniform water by discrete ordinates (Chandrasekhar 1960; Stamnes et al. 1988,
 * Applied Optics 27, 2502), in azimuth modes cos(m φ) from the sun's bearing, delta-M scaled (Wiscombe 1977, J.
 * Atmos. Sci. 34, 1408). The quadrature is split at the edge of the window, so that the step in the sky's light there
 * falls between nodes. The surface reflects upward light back by Fresnel.
 */

export const CRITICAL_MU = Math.sqrt(1 - 1 / WATER_INDEX ** 2)

/**
 * Where the light comes from: a beam of cosine `mu` under water; a sky of some shape, or an even radiance all over the
 * window; or the bed, an evenly bright floor that lights water without end above it (with down and up changed over).
 */
export type Source = { kind: 'beam'; mu: number } | { kind: SkyShape | 'even' | 'bed' }

/** By the way one looks, or a face is turned: towards the sun, across, away, and the mean over all headings. */
export interface ByHeading {
  mean: number
  toward: number
  across: number
  away: number
}

/** Light at one depth, relative to the irradiance let in. */
export interface LightAt {
  ed: number
  eu: number
  e0: number
  /** Irradiance on an upright face turned that way. */
  eSide: ByHeading
  /** Radiance seen looking that way, level, per steradian. */
  lh: ByHeading
  lZen: number
  lNad: number
}

export interface Solution {
  decay: number[]
  at: (tau: number) => LightAt
  /** Radiance seen looking level at a bearing from the sun, radians. */
  levelAt: (tau: number, bearing: number) => number
}

/** What lies under the water: nothing, or a bed that throws back a share of the light evenly. */
export interface Bed {
  tau: number
  reflectance: number
}

/** Angles over which "looking up" is averaged, so that no single direction meets the sun's own glare. */
const UP_MU = [1, 0.99, 0.97]
/**
 * Azimuth modes kept. Once-scattered light is exact; what has been scattered more often and still reaches the level
 * is smooth in bearing: twice as many modes change nothing by 0.3 %.
 */
const MODES = 12
/** Bearings over which a level mean is taken. */
const BEARINGS = 72

/** One azimuth mode of the operator: its eigenmodes and how it scatters a field given at the nodes. */
interface Mode {
  modes: { k: number; down: number[]; up: number[] }[]
  scattered: (mu: number, down: ArrayLike<number>, up: ArrayLike<number>) => number
  beam: (mu: number) => { down: number[]; up: number[] }
}

/**
 * Solve for one phase function and single-scattering albedo.
 * @param omega single-scattering albedo, 0 to below 1
 * @param streams total number of directions, a multiple of 4
 */
export function solver(
  water: Phase,
  omega: number,
  streams = 64,
  azimuths = MODES,
): (source: Source, bed?: Bed) => Solution {
  const n = streams / 2
  const inner = gauss(n / 2, 0, CRITICAL_MU)
  const outer = gauss(n / 2, CRITICAL_MU, 1)
  const mu = [...inner.x, ...outer.x]
  const w = [...inner.w, ...outer.w]
  const order = Math.floor((streams * 3) / 4) - 1
  const f = moment(water, order + 1)
  const om = (omega * (1 - f)) / (1 - omega * f)
  const stretch = 1 - omega * f
  const moments = Float64Array.from({ length: order + 1 }, (_, l) => ((2 * l + 1) * (moment(water, l) - f)) / (1 - f))
  const reflected = mu.map(internalReflectance)

  /** Scattering between two directions in mode m: `odd` is -1 when one of them goes down and the other up. */
  const between = (m: number, pa: Float64Array, pb: Float64Array, odd: 1 | -1) => {
    let even = 0
    let uneven = 0
    for (let l = m; l <= order; l++) {
      const term = moments[l]! * pa[l]! * pb[l]!
      if ((l - m) % 2) uneven += term
      else even += term
    }
    return even + odd * uneven
  }

  function operator(m: number): Mode {
    const pNode = mu.map(x => associated(m, order, x))
    const A = new Matrix(n, n)
    const B = new Matrix(n, n)
    for (let i = 0; i < n; i++) {
      for (let j = 0; j < n; j++) {
        A.set(i, j, (om / 2) * between(m, pNode[i]!, pNode[j]!, 1) * w[j]!)
        B.set(i, j, (om / 2) * between(m, pNode[i]!, pNode[j]!, -1) * w[j]!)
      }
    }
    // The quadrature misses a little of the sharpest moments; scale so that scattering conserves energy exactly.
    if (m === 0 && om > 0) {
      for (let j = 0; j < n; j++) {
        let total = 0
        for (let i = 0; i < n; i++) total += (w[i]! * (A.get(i, j) + B.get(i, j))) / w[j]!
        const fix = om / total
        for (let i = 0; i < n; i++) {
          A.set(i, j, A.get(i, j) * fix)
          B.set(i, j, B.get(i, j) * fix)
        }
      }
    }
    const minus = new Matrix(n, n)
    const plus = new Matrix(n, n)
    for (let i = 0; i < n; i++) {
      for (let j = 0; j < n; j++) {
        const alpha = (A.get(i, j) - (i === j ? 1 : 0)) / mu[i]!
        const beta = B.get(i, j) / mu[i]!
        minus.set(i, j, alpha - beta)
        plus.set(i, j, alpha + beta)
      }
    }
    const evd = new EigenvalueDecomposition(minus.mmul(plus))
    const modes = evd.realEigenvalues.map((k2, j) => {
      const k = Math.sqrt(Math.max(k2, 1e-12))
      const s = evd.eigenvectorMatrix.getColumn(j)
      const d = plus
        .mmul(Matrix.columnVector(s))
        .to1DArray()
        .map(v => -v / k)
      return { k, down: s.map((v, i) => (v + d[i]!) / 2), up: s.map((v, i) => (v - d[i]!) / 2) }
    })
    return {
      modes,
      scattered(x, down, up) {
        const p = associated(m, order, x)
        let s = 0
        for (let i = 0; i < n; i++)
          s += w[i]! * (between(m, p, pNode[i]!, 1) * down[i]! + between(m, p, pNode[i]!, -1) * up[i]!)
        return (om / 2) * s
      },
      /** What a beam of strength 1/mu feeds into this mode: the particular solution, decaying as the beam does. */
      beam(beamMu) {
        const pBeam = associated(m, order, beamMu)
        const strength = ((m === 0 ? 1 : 2) * om) / beamMu / (4 * Math.PI)
        const lhs = new Matrix(2 * n, 2 * n)
        const rhs = new Matrix(2 * n, 1)
        for (let i = 0; i < n; i++) {
          for (let j = 0; j < n; j++) {
            lhs.set(i, j, -A.get(i, j) + (i === j ? 1 - mu[i]! / beamMu : 0))
            lhs.set(i, n + j, -B.get(i, j))
            lhs.set(n + i, j, -B.get(i, j))
            lhs.set(n + i, n + j, -A.get(i, j) + (i === j ? 1 + mu[i]! / beamMu : 0))
          }
          rhs.set(i, 0, strength * between(m, pNode[i]!, pBeam, 1))
          rhs.set(n + i, 0, strength * between(m, pNode[i]!, pBeam, -1))
        }
        const z = new LuDecomposition(lhs).solve(rhs).to1DArray()
        return { down: z.slice(0, n), up: z.slice(n) }
      },
    }
  }

  const operators: Mode[] = []
  const modeOf = (m: number) => (operators[m] ??= operator(m))

  return (source, bed) => {
    const beamMu = source.kind === 'beam' ? source.mu : 1
    const beam = source.kind === 'beam' ? 1 / source.mu : 0
    const beamSin = Math.sqrt(1 - beamMu ** 2)
    const surface = source.kind === 'bed' ? mu.map(() => 0) : reflected
    const incident = incidentOf(source)
    // Once-scattered sunlight off the nodes takes the whole phase function (Nakajima & Tanaka 1988): cut short, it
    // ripples.
    const whole = (cosine: number) => ((beam * omega) / (1 - omega * f) / (4 * Math.PI)) * phaseAt(water, cosine)

    /** One azimuth mode solved: amplitudes of the eigenmodes, fading down and, over a bed, up. */
    const solveMode = (m: number) => {
      const op = modeOf(m)
      const z = beam > 0 ? op.beam(beamMu) : { down: mu.map(() => 0), up: mu.map(() => 0) }
      const size = bed ? 2 * n : n
      const lhs = new Matrix(size, size)
      const rhs = new Matrix(size, 1)
      const bedT = bed ? bed.tau * stretch : 0
      const atBed = Math.exp(-bedT / beamMu)
      for (let i = 0; i < n; i++) {
        const r = surface[i]!
        op.modes.forEach((mode, j) => {
          lhs.set(i, j, mode.down[i]! - r * mode.up[i]!)
          if (bed) lhs.set(i, n + j, (mode.up[i]! - r * mode.down[i]!) * Math.exp(-mode.k * bedT))
        })
        rhs.set(i, 0, (m === 0 ? incident(mu[i]!) : 0) + r * z.up[i]! - z.down[i]!)
      }
      if (bed) {
        // The bed's own light is even: all that comes down on it, thrown back by its reflectance.
        const back = (down: number[]) =>
          m === 0 ? 2 * bed.reflectance * down.reduce((s, v, i) => s + w[i]! * mu[i]! * v, 0) : 0
        const direct = m === 0 ? (bed.reflectance * beam * beamMu * atBed) / Math.PI : 0
        op.modes.forEach((mode, j) => {
          const [fromTop, fromBed] = [back(mode.down), back(mode.up)]
          for (let i = 0; i < n; i++) {
            lhs.set(n + i, j, (mode.up[i]! - fromTop) * Math.exp(-mode.k * bedT))
            lhs.set(n + i, n + j, mode.down[i]! - fromBed)
          }
        })
        const zBack = back(z.down)
        for (let i = 0; i < n; i++) rhs.set(n + i, 0, direct + (zBack - z.up[i]!) * atBed)
      }
      const c = new LuDecomposition(lhs).solve(rhs).to1DArray()
      /** Strengths of the modes at a depth: those that fade downwards, and those that fade upwards from a bed. */
      const fades = (t: number) =>
        op.modes.map((mode, j) => [c[j]! * Math.exp(-mode.k * t), bed ? c[n + j]! * Math.exp(-mode.k * (bedT - t)) : 0])
      const fieldAt = (t: number) => {
        const direct = Math.exp(-t / beamMu)
        const down = z.down.map(v => v * direct)
        const up = z.up.map(v => v * direct)
        fades(t).forEach(([a, b], j) => {
          const mode = op.modes[j]!
          for (let i = 0; i < n; i++) {
            down[i]! += a! * mode.down[i]! + b! * mode.up[i]!
            up[i]! += a! * mode.up[i]! + b! * mode.down[i]!
          }
        })
        return { down, up }
      }
      return { op, z, c, fieldAt }
    }
    const solved = Array.from({ length: beam > 0 ? azimuths + 1 : 1 }, (_, m) => solveMode(m))
    const mean = solved[0]!
    if (bed) return { decay: [], levelAt: () => Number.NaN, at: tau => irradiances(mean.fieldAt(tau * stretch), tau) }

    function irradiances({ down, up }: { down: number[]; up: number[] }, tau: number): LightAt {
      const direct = beam * Math.exp((-tau * stretch) / beamMu)
      const out = { ed: beamMu * direct, eu: 0, e0: direct }
      let side = (direct * beamSin) / Math.PI
      for (let i = 0; i < n; i++) {
        out.ed += 2 * Math.PI * w[i]! * mu[i]! * down[i]!
        out.eu += 2 * Math.PI * w[i]! * mu[i]! * up[i]!
        out.e0 += 2 * Math.PI * w[i]! * (down[i]! + up[i]!)
        // Mean over headings of the irradiance on a vertical face: 2 ∫ L sin² dθ = 2 ∫ L sinθ dmu.
        side += 2 * w[i]! * Math.sqrt(1 - mu[i]! ** 2) * (down[i]! + up[i]!)
      }
      const lh = modeOf(0).scattered(0, down, up)
      const all = (v: number): ByHeading => ({ mean: v, toward: v, across: v, away: v })
      return { ...out, eSide: all(side), lh: all(lh), lZen: Number.NaN, lNad: Number.NaN }
    }

    /** Level radiance at bearings: once-scattered light whole, the rest by its modes. */
    const levelModes = solved.map(({ op, z }) => ({
      modes: op.modes.map(mode => op.scattered(0, mode.down, mode.up)),
      beam: beam > 0 ? op.scattered(0, z.down, z.up) : 0,
    }))
    const levelParts = (t: number) =>
      levelModes.map(({ modes, beam: b }, m) =>
        modes.reduce(
          (s, v, j) => s + v * solved[m]!.c[j]! * Math.exp(-solved[m]!.op.modes[j]!.k * t),
          b * Math.exp(-t / beamMu),
        ),
      )
    const levelFrom = (parts: number[], t: number, bearing: number) =>
      parts.reduce((s, v, m) => s + v * Math.cos(m * bearing), 0) +
      (beam > 0 ? whole(beamSin * Math.cos(bearing)) * Math.exp(-t / beamMu) : 0)

    const sourceAt = (x: number, once: number) => ({
      modes: mean.op.modes.map(mode => mean.op.scattered(x, mode.down, mode.up)),
      beam: beam > 0 ? mean.op.scattered(x, mean.z.down, mean.z.up) + once : 0,
    })
    const upward = sourceAt(-1, whole(-beamMu))
    const pBeam = associated(0, order, beamMu)
    // Looking up near the sun, the cut function is kept: it spreads the glare over a few degrees, as waves do.
    const cut = (x: number) => ((beam * om) / (4 * Math.PI)) * between(0, associated(0, order, x), pBeam, 1)
    const wholeMean = (x: number) => {
      let s = 0
      for (let i = 0; i < BEARINGS; i++) {
        const cosine = x * beamMu + Math.sqrt(1 - x * x) * beamSin * Math.cos((2 * Math.PI * i) / BEARINGS)
        s += whole(cosine)
      }
      return s / BEARINGS
    }
    const looking = UP_MU.map(x => ({ m: x, down: sourceAt(x, cut(x)), up: sourceAt(-x, wholeMean(-x)) }))
    const rising = (x: number, src: ReturnType<typeof sourceAt>, t: number) =>
      mean.op.modes.reduce(
        (s, mode, j) => s + (mean.c[j]! * src.modes[j]! * Math.exp(-mode.k * t)) / (1 + mode.k * x),
        (src.beam * Math.exp(-t / beamMu)) / (1 + x / beamMu),
      )
    const build = (k: number, x: number, t: number) =>
      Math.abs(1 - k * x) < 1e-5 ? (t / x) * Math.exp(-t / x) : (Math.exp(-k * t) - Math.exp(-t / x)) / (1 - k * x)
    const entering = source.kind === 'bed' ? () => 0 : internalReflectance

    return {
      decay: mean.op.modes.map(m => m.k * stretch).sort((a, b) => a - b),
      levelAt: (tau, bearing) => levelFrom(levelParts(tau * stretch), tau * stretch, bearing),
      at(tau) {
        const t = tau * stretch
        const out = irradiances(mean.fieldAt(t), tau)
        const parts = levelParts(t)
        if (beam > 0) {
          const direct = beam * Math.exp(-t / beamMu)
          const face = solved.map(({ fieldAt }) => {
            const { down, up } = fieldAt(t)
            return w.reduce((s, wi, i) => s + wi * Math.sqrt(1 - mu[i]! ** 2) * (down[i]! + up[i]!), 0)
          })
          const sideAt = (bearing: number) =>
            face.reduce((s, v, m) => s + v * halfTurn(m) * Math.cos(m * bearing), 0) +
            direct * beamSin * Math.max(0, Math.cos(bearing))
          Object.assign(out.eSide, byHeading(sideAt))
          Object.assign(
            out.lh,
            byHeading(bearing => levelFrom(parts, t, bearing)),
          )
          let sum = 0
          for (let i = 0; i < BEARINGS; i++) sum += whole(beamSin * Math.cos((2 * Math.PI * i) / BEARINGS))
          out.lh.mean = parts[0]! + (sum / BEARINGS) * Math.exp(-t / beamMu)
        }
        let lZen = 0
        for (const { m, down, up } of looking) {
          const from = incident(m) + entering(m) * rising(m, up, 0)
          lZen +=
            (from * Math.exp(-t / m) +
              mean.op.modes.reduce((s, mode, j) => s + mean.c[j]! * down.modes[j]! * build(mode.k, m, t), 0) +
              down.beam * build(1 / beamMu, m, t)) /
            looking.length
        }
        return { ...out, lZen, lNad: rising(1, upward, t) }
      },
    }
  }
}

/** Towards the sun, across, away. */
const byHeading = (f: (bearing: number) => number) => ({ toward: f(0), across: f(Math.PI / 2), away: f(Math.PI) })

/** Integral of cos(m φ) cos φ over the half turn a face sees. */
const halfTurn = (m: number) =>
  m === 0 ? 2 : m === 1 ? Math.PI / 2 : m % 2 ? 0 : (2 * Math.cos((m * Math.PI) / 2)) / (1 - m * m)

/** Radiance that comes in at a cosine under water, for an irradiance of 1. */
function incidentOf(source: Source): (mu: number) => number {
  if (source.kind === 'beam') return () => 0
  if (source.kind === 'bed') return () => 1 / Math.PI
  const shape = source.kind === 'even' ? (m: number) => (m > CRITICAL_MU ? 1 : 0) : skyShape(source.kind)
  const { x, w } = gauss(64, CRITICAL_MU, 1)
  const total = x.reduce((s, m, i) => s + 2 * Math.PI * w[i]! * m * shape(m), 0)
  return m => shape(m) / total
}
