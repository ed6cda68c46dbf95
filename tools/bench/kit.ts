import highsLoader from 'highs'
import { apartOf } from '#core/box/tray'
import { mapOf } from '#core/box/map'
import { bestCover } from '#core/kit/cover'
import { kitOf } from '#core/kit/kit'
import { sampleScenes } from '#core/kit/sample'
import { scoreScene } from '#core/kit/scenes'
import { finishesOf } from '#core/lure/finish'
import { uniformFrom } from '#core/numeric/uniform'
import { recommend } from '#core/ranking/recommend'
import { REQUEST } from '#core/request/request'
import { table } from './timing'

const LURES = ['deep-crankbait', 'jerkbait', 'spinnerbait', 'walking-topwater', 'casting-jig'] as const
const WATERS = [
  { visibilityM: 4.5, tint: 'blue-clear', salinity: 'fresh', latitude: 35.2, longitude: -84.6, prey: [] },
  { visibilityM: 1.1, tint: 'green', salinity: 'fresh', latitude: 34.9, longitude: -84.3, prey: [] },
  { visibilityM: 0.9, tint: 'tea', salinity: 'fresh', latitude: 34, longitude: -83.4, prey: [] },
  { visibilityM: 0.35, tint: 'brown', salinity: 'fresh', latitude: 33.4, longitude: -82.9, prey: [] },
] as const

const timed = <T>(work: () => T): [T, number] => {
  const began = performance.now()
  const out = work()
  return [out, performance.now() - began]
}
const every = (n: number) => Array.from({ length: n }, (_, i) => i)

/** The same cover as an integer programme, the plain way: a variable for each pair of finish and scene. */
function model(worth: readonly Float64Array[], size: number): string {
  const scenes = every(worth[0]!.length)
  const finishes = every(worth.length)
  const pairs = finishes.flatMap(f => scenes.map(s => ({ f, s })))
  return `Maximize
 obj: ${pairs.map(({ f, s }) => `+ ${worth[f]![s]!.toFixed(6)} x${f}_${s}`).join('\n ')}
Subject To
 size: ${finishes.map(f => `+ y${f}`).join(' ')} <= ${size}
${scenes.map(s => ` one${s}: ${finishes.map(f => `+ x${f}_${s}`).join(' ')} <= 1`).join('\n')}
${pairs.map(({ f, s }) => ` in${f}_${s}: x${f}_${s} - y${f} <= 0`).join('\n')}
Binary
 ${finishes.map(f => `y${f}`).join(' ')}
End`
}

export async function benchKit(): Promise<void> {
  const ask = { waters: WATERS, lures: LURES, species: 'largemouth-bass', moments: 400, year: 2026 } as const
  const scenes = sampleScenes(ask, uniformFrom(1))
  for (const s of scenes.slice(0, 60)) scoreScene(s)
  const [scored, scoringMs] = timed(() => scenes.map(s => scoreScene(s)))
  const some = scenes.slice(0, 200)
  // All that is ranked, as the screen asks for it; and the ten that a request gets which does not say how many.
  const whole = some.map(s => ({ ...s, limit: REQUEST.fields.limit.range[1] }))
  for (const s of whole.slice(0, 40)) recommend(s)
  const [, wholeMs] = timed(() => whole.map(s => recommend(s)))
  const [, tenMs] = timed(() => some.map(s => recommend(s)))
  const one = { scored: scoringMs / scenes.length, whole: wholeMs / whole.length, ten: tenMs / some.length }
  const [kit, coverMs] = timed(() => kitOf(scored, { sizes: [1, 12] }))
  const finishes = LURES.reduce((n, l) => n + finishesOf(l).length, 0)
  table(
    `A kit from ${finishes} finishes, ${scenes.length} scenes (targets: scoring 30,000 ms on two cores, optimum 5,000)`,
    ['what', 'ms'],
    [
      ['scoring, one core', scoringMs],
      ['the best kits of 1 to 12', coverMs],
      ['one scene scored', one.scored],
      ['one answer with all finishes', one.whole],
      ['one answer with ten', one.ten],
      ['scored ÷ answer with all (target under 0.5)', one.scored / one.whole],
      ['scored ÷ answer with ten', one.scored / one.ten],
    ],
  )
  console.log(
    `  all sizes proven: ${kit.curve.every(c => c.proven)}; six cover ${(100 * kit.curve[5]!.share).toFixed(1)} of 100`,
  )

  const lure = 'jerkbait'
  const of = scored.filter(s => s.lure === lure).slice(0, 60)
  const worth = finishesOf(lure).map((_, f) => Float64Array.from(of, s => s.scores[f]!))
  const highs = await highsLoader()
  const [ours, oursMs] = timed(() => bestCover(worth, every(worth.length), 4))
  const [plain, plainMs] = timed(() => highs.solve(model(worth, 4)))
  table(
    `Four of ${worth.length} over ${of.length} scenes, beside an integer programme written plainly`,
    ['way', 'ms', 'covers'],
    [
      ['bounded search', oursMs, ours.value],
      ['HiGHS, a variable a pair', plainMs, plain.ObjectiveValue],
    ],
  )
  const { apart } = apartOf(scenes[1]!, 'jerkbait', [], 0.5)
  const [map, mapMs] = timed(() => mapOf(apart))
  console.log(`\nA map of ${apart.length} finishes: stress ${map.stress.toFixed(3)}, ${mapMs.toFixed(0)} ms`)
}
