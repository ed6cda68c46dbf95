import { EigenvalueDecomposition, Matrix, solve } from 'ml-matrix'
import { WATER_INDEX, internalReflectance } from '#core/sky/surface'

/**
 * Plane-parallel radiative transfer in deep, uniform water by discrete ordinates, azimuth-averaged
 * (Chandrasekhar 1960; Stamnes et al. 1988, Applied Optics 27, 2502). Henyey-Greenstein scattering, delta-M
 * scaled (Wiscombe 1977, J. Atmos. Sci. 34, 1408). The quadrature is split at the edge of the window, so that the
 * step in the sky's light there falls between nodes. The surface reflects upward light back by Fresnel.
 */

const CRITICAL_MU = Math.sqrt(1 - 1 / WATER_INDEX ** 2)

/** Gauss-Legendre nodes and weights on (a, b), by Newton's method on the Legendre polynomial. */
export function gauss(n: number, a: number, b: number): { x: number[]; w: number[] } {
  const x: number[] = []
  const w: number[] = []
  for (let i = 0; i < n; i++) {
    let t = Math.cos((Math.PI * (i + 0.75)) / (n + 0.5))
    let slope = 1
    for (let k = 0; k < 100; k++) {
      let p0 = 1
      let p1 = t
      for (let l = 2; l <= n; l++) [p0, p1] = [p1, ((2 * l - 1) * t * p1 - (l - 1) * p0) / l]
      slope = (n * (t * p1 - p0)) / (t * t - 1)
      const step = p1 / slope
      t -= step
      if (Math.abs(step) < 1e-15) break
    }
    x.push((a + b) / 2 - (t * (b - a)) / 2)
    w.push((b - a) / ((1 - t * t) * slope * slope))
  }
  return { x, w }
}

function legendre(order: number, mu: number): number[] {
  const p = [1, mu]
  for (let l = 2; l <= order; l++) p.push(((2 * l - 1) * mu * p[l - 1]! - (l - 1) * p[l - 2]!) / l)
  return p
}

export type Source = { kind: 'beam'; mu: number } | { kind: 'diffuse' }

/** Light at one depth, relative to the irradiance the surface lets in. */
export interface LightAt {
  ed: number
  eu: number
  e0: number
  eSide: number
  lh: number
  lZen: number
  lNad: number
}

export interface Solution {
  decay: number[]
  at: (tau: number) => LightAt
}

/** Angles over which "looking up" is averaged, so that no single direction meets the sun's own glare. */
const UP_MU = [1, 0.99, 0.97]
/** Terms of the whole phase function: g^400 is below 1e-7 even at g = 0.96. */
const WHOLE_ORDER = 400

/**
 * Solve for one phase function and single-scattering albedo.
 * @param g asymmetry of the Henyey-Greenstein function (0 isotropic)
 * @param omega single-scattering albedo, 0 to below 1
 * @param streams total number of directions, a multiple of 4
 */
export function solver(g: number, omega: number, streams = 64): (source: Source) => Solution {
  const n = streams / 2
  const inner = gauss(n / 2, 0, CRITICAL_MU)
  const outer = gauss(n / 2, CRITICAL_MU, 1)
  const mu = [...inner.x, ...outer.x]
  const w = [...inner.w, ...outer.w]
  const order = Math.floor((streams * 3) / 4) - 1
  const f = g === 0 ? 0 : g ** (order + 1)
  const om = (omega * (1 - f)) / (1 - omega * f)
  const stretch = 1 - omega * f
  const moments = Array.from(
    { length: order + 1 },
    (_, l) => ((2 * l + 1) * ((g === 0 ? (l === 0 ? 1 : 0) : g ** l) - f)) / (1 - f),
  )
  const pNode = mu.map(m => legendre(order, m))
  const phase = (pa: number[], pb: number[], sign: 1 | -1) => {
    let s = 0
    for (let l = 0; l <= order; l++) s += moments[l]! * pa[l]! * pb[l]! * (sign === -1 && l % 2 ? -1 : 1)
    return s
  }
  const A = new Matrix(n, n)
  const B = new Matrix(n, n)
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < n; j++) {
      A.set(i, j, (om / 2) * phase(pNode[i]!, pNode[j]!, 1) * w[j]!)
      B.set(i, j, (om / 2) * phase(pNode[i]!, pNode[j]!, -1) * w[j]!)
    }
  }
  // The quadrature misses a little of the sharpest moments; scale so that scattering conserves energy exactly.
  for (let j = 0; j < n; j++) {
    let total = 0
    for (let i = 0; i < n; i++) total += (w[i]! * (A.get(i, j) + B.get(i, j))) / w[j]!
    const fix = om === 0 ? 1 : om / total
    for (let i = 0; i < n; i++) {
      A.set(i, j, A.get(i, j) * fix)
      B.set(i, j, B.get(i, j) * fix)
    }
  }
  const alpha = new Matrix(n, n)
  const beta = new Matrix(n, n)
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < n; j++) {
      alpha.set(i, j, (A.get(i, j) - (i === j ? 1 : 0)) / mu[i]!)
      beta.set(i, j, B.get(i, j) / mu[i]!)
    }
  }
  const minus = Matrix.sub(alpha, beta)
  const plus = Matrix.add(alpha, beta)
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

  /** Scattered source at any direction (mu positive downward) for a field given at the nodes. */
  const scattered = (m: number, down: number[], up: number[]) => {
    const p = legendre(order, m)
    let s = 0
    for (let i = 0; i < n; i++) s += w[i]! * (phase(p, pNode[i]!, 1) * down[i]! + phase(p, pNode[i]!, -1) * up[i]!)
    return (om / 2) * s
  }

  return source => {
    const beamMu = source.kind === 'beam' ? source.mu : 1
    // Irradiance let in is 1: a beam of strength 1/mu, or an even radiance inside the window.
    const beam = source.kind === 'beam' ? 1 / source.mu : 0
    const pBeam = legendre(order, beamMu)
    // Once-scattered sunlight off the nodes takes the whole phase function (Nakajima & Tanaka 1988): cut short, it
    // ripples.
    const whole = (m: number) => {
      const [pm, pb] = [legendre(WHOLE_ORDER, m), legendre(WHOLE_ORDER, beamMu)]
      let s = 0
      for (let l = 0; l <= WHOLE_ORDER; l++) s += (2 * l + 1) * (g === 0 && l ? 0 : g ** l) * pm[l]! * pb[l]!
      return ((beam * omega) / (1 - omega * f) / (4 * Math.PI)) * s
    }
    const q = (m: number) => ((beam * om) / (4 * Math.PI)) * phase(legendre(order, m), pBeam, 1)
    let zDown = new Array<number>(n).fill(0)
    let zUp = new Array<number>(n).fill(0)
    if (beam > 0) {
      const lhs = new Matrix(2 * n, 2 * n)
      const rhs = new Matrix(2 * n, 1)
      for (let i = 0; i < n; i++) {
        for (let j = 0; j < n; j++) {
          lhs.set(i, j, -A.get(i, j) + (i === j ? 1 - mu[i]! / beamMu : 0))
          lhs.set(i, n + j, -B.get(i, j))
          lhs.set(n + i, j, -B.get(i, j))
          lhs.set(n + i, n + j, -A.get(i, j) + (i === j ? 1 + mu[i]! / beamMu : 0))
        }
        rhs.set(i, 0, q(mu[i]!))
        rhs.set(n + i, 0, q(-mu[i]!))
      }
      const z = solve(lhs, rhs).to1DArray()
      zDown = z.slice(0, n)
      zUp = z.slice(n)
    }
    const windowRadiance = 1 / (Math.PI * (1 - CRITICAL_MU ** 2))
    const incident = (m: number) => (source.kind === 'diffuse' && m > CRITICAL_MU ? windowRadiance : 0)
    const lhs = new Matrix(n, n)
    const rhs = new Matrix(n, 1)
    for (let i = 0; i < n; i++) {
      const r = internalReflectance(mu[i]!)
      modes.forEach((m, j) => lhs.set(i, j, m.down[i]! - r * m.up[i]!))
      rhs.set(i, 0, incident(mu[i]!) + r * zUp[i]! - zDown[i]!)
    }
    const c = solve(lhs, rhs).to1DArray()

    const sourceAt = (m: number, once: (m: number) => number) => ({
      modes: modes.map(mode => scattered(m, mode.down, mode.up)),
      beam: beam > 0 ? scattered(m, zDown, zUp) + once(m) : 0,
    })
    const level = sourceAt(0, whole)
    const upward = sourceAt(-1, whole)
    // Looking up near the sun, the cut function is kept: it spreads the glare over a few degrees, as waves do.
    const looking = UP_MU.map(m => ({ m, down: sourceAt(m, q), up: sourceAt(-m, whole) }))
    const rising = (m: number, src: ReturnType<typeof sourceAt>, t: number) =>
      modes.reduce(
        (s, mode, j) => s + (c[j]! * src.modes[j]! * Math.exp(-mode.k * t)) / (1 + mode.k * m),
        (src.beam * Math.exp(-t / beamMu)) / (1 + m / beamMu),
      )
    const build = (k: number, m: number, t: number) =>
      Math.abs(1 - k * m) < 1e-5 ? (t / m) * Math.exp(-t / m) : (Math.exp(-k * t) - Math.exp(-t / m)) / (1 - k * m)

    return {
      decay: modes.map(m => m.k * stretch).sort((a, b) => a - b),
      at(tau) {
        const t = tau * stretch
        const fade = modes.map((m, j) => c[j]! * Math.exp(-m.k * t))
        const direct = beam * Math.exp(-t / beamMu)
        const out = { ed: beamMu * direct, eu: 0, e0: direct, eSide: (direct * Math.sqrt(1 - beamMu ** 2)) / Math.PI }
        for (let i = 0; i < n; i++) {
          let down = zDown[i]! * Math.exp(-t / beamMu)
          let up = zUp[i]! * Math.exp(-t / beamMu)
          modes.forEach((m, j) => {
            down += fade[j]! * m.down[i]!
            up += fade[j]! * m.up[i]!
          })
          out.ed += 2 * Math.PI * w[i]! * mu[i]! * down
          out.eu += 2 * Math.PI * w[i]! * mu[i]! * up
          out.e0 += 2 * Math.PI * w[i]! * (down + up)
          // Mean over headings of the irradiance on a vertical face: 2 ∫ L sin² dθ = 2 ∫ L sinθ dmu.
          out.eSide += 2 * w[i]! * Math.sqrt(1 - mu[i]! ** 2) * (down + up)
        }
        const lh = modes.reduce((s, m, j) => s + fade[j]! * level.modes[j]!, level.beam * Math.exp(-t / beamMu))
        const lNad = rising(1, upward, t)
        let lZen = 0
        for (const { m, down, up } of looking) {
          const entering = incident(m) + internalReflectance(m) * rising(m, up, 0)
          lZen +=
            (entering * Math.exp(-t / m) +
              modes.reduce((s, mode, j) => s + c[j]! * down.modes[j]! * build(mode.k, m, t), 0) +
              down.beam * build(1 / beamMu, m, t)) /
            looking.length
        }
        return { ...out, lh, lZen, lNad }
      },
    }
  }
}
