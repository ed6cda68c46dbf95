import { parseCoat } from '#core/paintwork/coat'
import { type Finish, buildFinish } from '#core/lure/finish'
import { PAINTS, type PaintId } from '#core/paintwork/paints'
import { LightColumn } from '#core/light-field/lightField'
import { blurM, lightnessMeter, resolved } from '#core/sight/contrast'
import { lightOfPart, look } from '#core/sight/look'
import { standsOff } from '#core/sight/radiance'
import { type Scene, type SceneInput, buildScene } from '#core/sight/scene'
import { RANGE_STEPS, WAYS } from '#core/sight/view'
import { skyLight } from '#core/sky/light'
import { BANDS } from '#core/spectrum/grid'
import { waterFromReading } from '#core/reading/disc'
import { TINTS } from '#core/water/tints'
import { medianMs, table } from './timing'

const INPUT: SceneInput = {
  lure: 'deep-crankbait',
  species: 'largemouth-bass',
  visibilityM: 1.5,
  tint: 'green',
  salt: false,
  depthM: 2,
  waterM: null,
  facing: 'any',
  background: 'open',
  fishM: 0.4,
  sky: {
    sunElevationDeg: 50,
    cloud: 0.3,
    rain: false,
    wind: 'ripple',
    canopy: 'open',
    moonFraction: 0,
    moonElevationDeg: 0,
    lamps: false,
  },
}

/** Finishes no two of which share a coat on any part: nothing that is remembered for one helps another. */
function distinct(n: number): Finish[] {
  const paints = Object.keys(PAINTS) as PaintId[]
  const materials = ['matte', 'pearl', 'translucent', 'fluorescent']
  const cover = (i: number) => 0.05 + (Math.floor(i / paints.length) % 90) / 100
  const coat = (i: number) =>
    parseCoat(
      `${paints[i % paints.length]}:${materials[i % 4]}+${paints[(i * 7 + 3) % paints.length]}*${cover(i).toFixed(4)}`,
    )
  return Array.from({ length: n }, (_, i) =>
    buildFinish('deep-crankbait', `bench.${i}`, `bench ${i}`, {
      back: coat(4 * i),
      flank: coat(4 * i + 1),
      belly: coat(4 * i + 2),
      chin: coat(4 * i + 3),
    }),
  )
}

const viewsOf = ({ stage }: Scene) => WAYS.map(w => stage.ways[w].view)

/** Look from every side: a side is looked from when it is asked for. */
function lookAll(finish: Finish, { stage }: Scene): number {
  const { level, below, above } = look(finish, stage)
  return level.sightM + below.sightM + above.sightM
}

/** The same ranges by lightness the plain way: contrast from the spectra at every step of a search in distance. */
function naive(finishes: readonly Finish[], scene: Scene): number {
  let sum = 0
  const delta = new Float64Array(BANDS)
  for (const f of finishes) {
    for (const w of WAYS) {
      const way = scene.stage.ways[w]
      const { view } = way
      const measure = lightnessMeter(view)
      let best = 0
      for (const p of f.parts) {
        standsOff(delta, p.optics, lightOfPart(way, p.part), view.near)
        const seen = (r: number) => {
          const { contrast, adapted } = measure(delta, r)
          return Math.abs(contrast) * resolved(p.areaM2, blurM(scene.eye, adapted, r) ** 2) > adapted.light
        }
        let [lo, hi] = [0.02, view.rangesM[RANGE_STEPS - 1]!]
        for (let i = 0; i < 24; i++) {
          const mid = (lo + hi) / 2
          if (seen(mid)) lo = mid
          else hi = mid
        }
        best = Math.max(best, lo)
      }
      sum += best
    }
  }
  return sum
}

export function benchOptics(): void {
  const sizes = [30, 60, 120, 250, 500, 1000]
  const all = distinct(1000)
  const at = (i: number) => ({ ...INPUT, depthM: 2 + (i % 20) * 0.05, visibilityM: 1.2 + (i % 13) * 0.05 })
  const rows = sizes.map(n => {
    const some = all.slice(0, n)
    const ms = medianMs(
      i => {
        const scene = buildScene(at(i))
        for (const f of some) lookAll(f, scene)
      },
      n > 250 ? 21 : 41,
    )
    return { n, ms }
  })
  const of120 = rows.find(r => r.n === 120)!.ms
  const slow = medianMs(() => naive(all.slice(0, 120), buildScene(INPUT)), 7, 2)
  table(
    'Optics of one lure type, 4 parts, 5 ways, scene included (target: 120 finishes under 10 ms)',
    ['finishes', 'median ms', 'µs each', 'finishes/s', 'against 30'],
    rows.map(r => [String(r.n), r.ms, (r.ms * 1000) / r.n, (r.n / r.ms) * 1000, (r.ms / rows[0]!.ms).toFixed(1)]),
  )
  table(
    'Against the plain way (120 finishes, ranges only)',
    ['', 'median ms', 'ratio'],
    [
      ['this', of120, 1],
      ['plain', slow, slow / of120],
    ],
  )
  table(
    'Single steps',
    ['', 'median ms'],
    [
      ['water from a reading', medianMs(i => waterFromReading(TINTS.green.recipe, false, 0.4 + i / 20))],
      ['light field at a depth', medianMs(i => new LightColumn(waterFromReadingOnce, sky).at(0.5 + i / 20))],
      ['scene with five views', medianMs(i => viewsOf(buildScene(at(i))))],
    ],
  )
}
const waterFromReadingOnce = waterFromReading(TINTS.green.recipe, false, 1.5)
const sky = skyLight(INPUT.sky)
