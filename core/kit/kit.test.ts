import highsLoader from 'highs'
import { describe, expect, it } from 'vitest'
import { dice } from '../../tests/reference/dice'
import type { LureId } from '#core/lure/types'
import { uniformFrom } from '#core/numeric/uniform'
import { recommend } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import { bestCover } from './cover'
import { sunTimes } from '#core/sky/sun'
import { kitOf, kitSteps } from './kit'
import { type SampleAsk, sampleScenes } from './sample'
import { type KitScene, type SceneScores, scoreScene } from './scenes'
import { finishesOf } from '#core/lure/finish'

const { even } = dice(16)
const worthOf = (finishes: number, scenes: number) =>
  Array.from({ length: finishes }, () => Float64Array.from({ length: scenes }, even))
const every = (n: number) => Array.from({ length: n }, (_, i) => i)
const covered = (worth: readonly Float64Array[], set: readonly number[]) =>
  every(worth[0]!.length).reduce((s, scene) => s + Math.max(0, ...set.map(f => worth[f]![scene]!)), 0)
const subsets = (n: number) => every(1 << n).map(bits => every(n).filter(i => (bits >> i) & 1))

describe('the best cover', () => {
  it('equals trying every set', () => {
    for (let k = 0; k < 25; k++) {
      const worth = worthOf(8, 11)
      for (const size of [1, 2, 3, 5]) {
        const keep = k % 2 ? [3] : []
        const sets = subsets(8).filter(s => s.length === size && keep.every(f => s.includes(f)))
        const best = Math.max(...sets.map(s => covered(worth, s)))
        const cover = bestCover(worth, every(8), size, keep)
        expect(cover.value).toBeCloseTo(best, 9)
        expect(covered(worth, cover.chosen)).toBeCloseTo(best, 9)
        expect(cover.proven).toBe(true)
      }
    }
  })
  it('equals an integer programme on larger ones', async () => {
    const highs = await highsLoader()
    const [finishes, scenes, size] = [18, 40, 4]
    const worth = worthOf(finishes, scenes)
    const pairs = every(finishes).flatMap(f => every(scenes).map(s => ({ f, s })))
    const model = `Maximize
 obj: ${pairs.map(({ f, s }) => `+ ${worth[f]![s]!.toFixed(9)} x${f}_${s}`).join('\n ')}
Subject To
 size: ${every(finishes)
   .map(f => `+ y${f}`)
   .join(' ')} <= ${size}
${every(scenes)
  .map(
    s =>
      ` one${s}: ${every(finishes)
        .map(f => `+ x${f}_${s}`)
        .join(' ')} <= 1`,
  )
  .join('\n')}
${pairs.map(({ f, s }) => ` in${f}_${s}: x${f}_${s} - y${f} <= 0`).join('\n')}
Binary
 ${every(finishes)
   .map(f => `y${f}`)
   .join(' ')}
End`
    const solved = highs.solve(model)
    expect(bestCover(worth, every(finishes), size).value).toBeCloseTo(solved.ObjectiveValue, 5)
  }, 60_000)
  it('never covers less with one more, nor more than its bound', () => {
    const worth = worthOf(20, 60)
    const values = every(8).map(n => bestCover(worth, every(20), n + 1))
    values.slice(1).forEach((c, i) => expect(c.value).toBeGreaterThanOrEqual(values[i]!.value))
    for (const c of values) expect(c.bound).toBeGreaterThanOrEqual(c.value - 1e-9)
  })
})

const JERKS = finishesOf('jerkbait').map(f => f.id)
const SPOONS = finishesOf('jigging-spoon').map(f => f.id)
/** Made-up scores: so many finishes of a lure count, the rest are worthless. */
const scene = (lure: SceneScores['lure'], scores: number[], weight = 1): SceneScores => {
  const ids = finishesOf(lure)
  const all = ids.map((_, i) => scores[i] ?? 0)
  return { lure, weight, scores: all, near: [all.indexOf(Math.max(...all))] }
}
const SCENES = [
  scene('jerkbait', [0.9, 0.2, 0.5]),
  scene('jerkbait', [0.1, 0.8, 0.5], 2),
  scene('jigging-spoon', [0.6, 0.3], 1),
]

describe('a kit', () => {
  it('shares its size out over the lures', () => {
    const { curve } = kitOf(SCENES, { sizes: [1, 3] })
    const total = 0.9 + 1.6 + 0.6
    expect(curve.map(c => c.size)).toEqual([1, 2, 3])
    // One: the second jerkbait (0.2 + 1.6); two: with the spoon or the first, whichever is more; three: all.
    expect(curve[0]).toMatchObject({ finishIds: [JERKS[1]], proven: true })
    expect(curve[0]!.share).toBeCloseTo(1.8 / total, 5)
    expect(curve[1]!.share).toBeCloseTo(2.5 / total, 5)
    expect(curve[2]).toMatchObject({ share: 1 })
    expect([...curve[2]!.finishIds].sort()).toEqual([JERKS[0], JERKS[1], SPOONS[0]].sort())
  })
  it('keeps, leaves out and takes only what is owned', () => {
    const has = (ask: object) => kitOf(SCENES, { sizes: [1, 3], ...ask }).curve.map(c => [...c.finishIds].sort())
    expect(has({ keep: [JERKS[2]] })[0]).toEqual([JERKS[2]])
    expect(has({ drop: [JERKS[1]] }).flat()).not.toContain(JERKS[1])
    expect(has({ owned: [SPOONS[1]!] })).toEqual([[SPOONS[1]], [SPOONS[1]], [SPOONS[1]]])
    expect(has({ keep: [JERKS[2], SPOONS[1]!] }).map(ids => ids.length)).toEqual([2, 3])
  })
  it('tells gaps and what never comes near, of what is owned', () => {
    const { gaps, never } = kitOf(SCENES, { sizes: [1, 2], owned: [JERKS[1]!, JERKS[2]!, SPOONS[1]!] })
    // Owned covers 0.5 + 1.6 + 0.3; the first jerkbait adds 0.4 and the first spoon 0.3.
    expect(gaps.map(g => g.finishId)).toEqual([JERKS[0], SPOONS[0]])
    expect(gaps[0]!.gain).toBeCloseTo(0.4 / 3.1, 5)
    expect(never).toEqual([JERKS[2], SPOONS[1]])
    expect(kitOf(SCENES, { sizes: [1, 1] })).toMatchObject({ gaps: [], never: [] })
  })
  it('tells where it stands after every cover', () => {
    const steps = kitSteps(SCENES, { sizes: [1, 3] })
    const told = []
    for (let at = steps.next(); !at.done; at = steps.next()) told.push(at.value)
    expect(told.length).toBe(told[0]!.total)
    expect(told.at(-1)).toMatchObject({ done: told.length, gap: 0 })
  })
})

describe('scenes drawn from waters', () => {
  const drawn = (salinity: 'fresh' | 'salt', lures: LureId[], over: Partial<SampleAsk> = {}) => {
    const water = { visibilityM: 1, tint: 'green', salinity, latitude: 30, longitude: -84, prey: [] } as const
    return sampleScenes(
      { waters: [water], lures, species: 'red-drum', moments: 40, year: 2026, ...over },
      uniformFrom(3),
    )
  }
  const lures = (scenes: KitScene[]) => [...new Set(scenes.map(s => s.lure))].sort()
  it('keep inshore lures to the coast unless there is nothing else, and take any lure there', () => {
    expect(lures(drawn('fresh', ['jerkbait', 'inshore-spoon']))).toEqual(['jerkbait'])
    expect(lures(drawn('salt', ['jerkbait', 'inshore-spoon']))).toEqual(['inshore-spoon', 'jerkbait'])
    expect(lures(drawn('fresh', ['inshore-spoon']))).toEqual(['inshore-spoon'])
  })
  it('are fished from dawn to dusk through the whole year, in clarity that strays about the usual', () => {
    const scenes = drawn('fresh', ['jerkbait'], { moments: 300 })
    const months = new Set(scenes.map(s => new Date(s.light.at!.time).getUTCMonth()))
    expect(months.size).toBe(12)
    for (const s of scenes) {
      const t = Date.parse(s.light.at!.time)
      const { sunrise, sunset } = sunTimes({ timeMs: t, latitudeDeg: 30, longitudeDeg: -84 })
      const hour = 3_600_000
      const away = Math.min(...[-1, 0, 1].map(d => Math.max(sunrise! + 24 * d * hour - t, t - sunset! - 24 * d * hour)))
      expect(away).toBeLessThan(hour)
    }
    const ln = scenes.map(s => Math.log(s.water.visibilityM!)).sort((a, b) => a - b)
    expect(ln[150]!).toBeGreaterThan(-0.15)
    expect(ln[150]!).toBeLessThan(0.15)
    expect(ln[285]! - ln[15]!).toBeGreaterThan(0.5)
    expect(drawn('fresh', ['jerkbait'])).toEqual(drawn('fresh', ['jerkbait']))
  })
})

describe('a scene scored for a kit', () => {
  const asked: Request = {
    lure: 'jerkbait',
    water: { visibilityM: 1, tint: 'tea' },
    light: { sky: 'clear', sunElevationDeg: 30 },
  }
  it('has the scores of a full answer, and the look-alikes of its best three', () => {
    const answer = recommend({ ...asked, limit: 60 })
    const { scores, near, weight } = scoreScene({ ...asked, weight: 3 })
    expect(weight).toBe(3)
    for (const r of answer.ranked) expect(scores[JERKS.indexOf(r.finish.id)]).toBeCloseTo(r.score, 3)
    const best = answer.ranked.slice(0, 3).map(r => r.finish.id)
    const groups = answer.lookAlikes.filter(g => g.some(id => best.includes(id)))
    expect(near.map(i => JERKS[i]).sort()).toEqual([...new Set([...best, ...groups.flat()])].sort())
  })
})
