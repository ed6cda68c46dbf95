import { describe, expect, it } from 'vitest'
import { finishesOf } from '#core/lure/finish'
import { jarColour } from '#core/picture/jar'
import { type Watcher, drawnContrast, painter, waterColumn } from '#core/picture/underWater'
import { contrastCurve } from '#core/sight/curve'
import { lookAlikeGroups } from '#core/sight/likeness'
import { apartJnd, measure, preyLooks } from '#core/sight/measure'
import { type Scene, type SceneInput, buildScene, usualFishM } from '#core/sight/scene'
import { type Srgb, decodeChannel, hex } from '#core/spectrum/colour'
import { clarityWord } from '#core/water/words'
import { TINTS, type TintId } from '#core/water/tints'
import { FULL_MOON, NOON, plain } from '../../tests/reference/scenes'

const scene = (change: Partial<SceneInput> = {}) => buildScene({ ...NOON, ...change })
/** Relative luminance of a display colour (WCAG 2.2). */
const luminance = ([r, g, b]: Srgb) => 0.2126 * decodeChannel(r) + 0.7152 * decodeChannel(g) + 0.0722 * decodeChannel(b)
const spread = (c: readonly number[]) => Math.max(...c) - Math.min(...c)

describe("the picture's water", () => {
  it("has one colour wherever it is drawn: the column at the lure's depth and the window behind the lure", () => {
    for (const tint of Object.keys(TINTS) as TintId[]) {
      const s = scene({ tint, depthM: 1.3 })
      const [column] = waterColumn(s, [1.3])
      expect(painter(s, 'level', 'diver')(plain('white'), 0.5).water).toEqual(column!.colour)
    }
  })
  it('fills the jar of each tint with what it is to be drawn with', () => {
    for (const tint of Object.keys(TINTS) as TintId[])
      expect([tint, hex(jarColour(tint))]).toEqual([tint, TINTS[tint].jar.colour])
  })
  it('darkens with depth, once there is water enough to scatter, and never burns out', () => {
    for (const tint of Object.keys(TINTS) as TintId[]) {
      const steps = waterColumn(scene({ tint, visibilityM: 2 }), [0.1, 0.5, 1, 2, 4, 8])
      for (let i = 1; i < steps.length; i++)
        expect(steps[i]!.luminance).toBeLessThan(steps[i - 1]!.luminance * (i > 2 ? 1 : 1.15))
      for (const s of steps) for (const c of s.cones) expect(c).toBeLessThanOrEqual(1.05)
    }
  })
  it('turns with the fish: brighter towards the sun than away from it', () => {
    const level = (facing: SceneInput['facing']) => waterColumn(scene({ facing }), [0.8])[0]!.luminance
    expect(level('sun-at-back')).toBeGreaterThan(1.3 * level('across'))
    expect(level('across')).toBeGreaterThan(1.1 * level('sun-in-face'))
  })
  it('shows tea darker than silt of the same reading, and gets used to its colour part of the way', () => {
    const [tea, silt] = (['tea', 'brown'] as const).map(tint => scene({ tint, visibilityM: 0.8 })) as [Scene, Scene]
    const water = (s: Scene) => waterColumn(s, [0.8])[0]!
    expect(water(tea).luminance).toBeLessThan(0.7 * water(silt).luminance)
    const near = painter(tea, 'level', 'diver')(plain('white'), 0.05)
    expect(spread(near.parts.flank!) / Math.max(...near.parts.flank!)).toBeLessThan(
      0.95 * (spread(near.water) / Math.max(...near.water)),
    )
  })
  it('loses small parts before large ones', () => {
    const paint = painter(scene({ tint: 'blue-clear', visibilityM: 8 }), 'level', 'diver')
    const left = (areaM2: number) => {
      const one = plain('black')
      const seen = paint({ ...one, parts: one.parts.map(p => ({ ...p, areaM2 })) }, 2)
      return Math.hypot(...seen.parts.flank!.map((v, i) => v - seen.water[i]!))
    }
    expect(left(4e-6)).toBeLessThan(0.5 * left(1e-3))
  })
  it('takes red before green in clear water, and green before red in tea', () => {
    const left = (tint: TintId, depthM: number) =>
      waterColumn(scene({ tint, visibilityM: tint === 'tea' ? 1 : 6 }), [depthM])[0]!.cones
    expect(left('blue-clear', 6)[0]).toBeGreaterThan(left('blue-clear', 6)[1]!)
    expect(left('tea', 1)[1]).toBeGreaterThan(left('tea', 1)[0]!)
  })
})

describe('a lure through the water', () => {
  it('fades into the water with distance', () => {
    const paint = painter(scene({ tint: 'tea' }), 'level', 'diver')
    const off = [0.1, 0.4, 0.9, 2].map(m => {
      const seen = paint(plain('chartreuse'), m)
      return Math.hypot(...seen.parts.flank!.map((v, i) => v - seen.water[i]!))
    })
    for (let i = 1; i < 3; i++) expect(off[i]!).toBeLessThan(off[i - 1]!)
    // Past the eye's threshold nothing of it is left.
    expect(off[3]).toBe(0)
  })
  it('is drawn with a contrast that is nothing at the threshold, all at 1, and spread out between', () => {
    expect(drawnContrast(0.02, 0.02)).toBe(0)
    expect(drawnContrast(0.019, 0.02)).toBe(0)
    expect(drawnContrast(1, 0.02)).toBeCloseTo(1, 9)
    expect(drawnContrast(0.05, 0.02)).toBeCloseTo(0.117, 3)
    expect(drawnContrast(0.19, 0.02)).toBeCloseTo(0.386, 3)
    expect(drawnContrast(0.5, 2)).toBe(0)
  })
  it('has its hooks lost before its shape, and as a camera takes it, contrasts as they are', () => {
    const s = scene({ tint: 'tea' })
    const fine = (watcher: Watcher, m: number) => painter(s, 'level', watcher)(plain('white'), m).fine
    expect(fine('diver', 0.05)).toBeGreaterThan(0.3)
    expect(fine('diver', 0.6)).toBeLessThan(0.1)
    expect(painter(s, 'level', 'diver')(plain('white'), 0.6).parts.flank).not.toEqual(
      painter(s, 'level', 'diver')(plain('white'), 0.6).water,
    )
    const off = (watcher: Watcher) => {
      const seen = painter(s, 'level', watcher)(plain('white'), 0.6)
      return Math.hypot(...seen.parts.flank!.map((v, i) => v - seen.water[i]!))
    }
    expect(off('camera')).toBeGreaterThan(0)
    expect(off('diver')).toBeGreaterThan(1.5 * off('camera'))
  })
  it('hangs in water on which white words are read, sunbeams apart, by every light and tint', () => {
    let least = Infinity
    for (const tint of Object.keys(TINTS) as TintId[])
      for (const visibilityM of [0.1, 0.3, 1, 3, 12])
        for (const deg of [-30, -8, 0, 4, 15, 35, 60, 90]) {
          const s = scene({ tint, visibilityM, sky: { ...NOON.sky, sunElevationDeg: deg } })
          for (const { colour } of waterColumn(s, [0.01, 0.1, 0.3, 1, 2.5, 6, 12]))
            least = Math.min(least, 1.05 / (0.05 + luminance(colour)))
        }
    expect(least).toBeGreaterThan(4.5)
    expect(least).toBeLessThan(6)
  })
  it('is drawn for the fish with grey for the water it is used to, and without hue at night', () => {
    const day = painter(scene(), 'level', 'fish')(plain('red'), 0.1)
    expect(spread(day.water)).toBeLessThan(1)
    expect(spread(day.parts.flank!)).toBeGreaterThan(3)
    const night = painter(scene({ sky: FULL_MOON }), 'level', 'fish')(plain('red'), 0.1)
    expect(spread(night.parts.flank!)).toBeLessThan(3)
  })
  it('has a contrast with a sign, which fades below the threshold where the range says', () => {
    const s = scene({ tint: 'tea', visibilityM: 1, depthM: 0.8 })
    const curve = contrastCurve(s, 'level', plain('white'), [0.1, 0.5, 1, 3, 6])
    expect(curve.contrast[0]).toBeGreaterThan(0)
    expect(contrastCurve(s, 'level', plain('black'), [0.1]).contrast[0]).toBeLessThan(0)
    expect(Math.abs(curve.contrast[4]!)).toBeLessThan(curve.threshold[4]!)
  })
})

describe('likeness', () => {
  const measured = (
    change: Partial<SceneInput>,
    prey: Parameters<typeof preyLooks>[1] = [{ kind: 'shad', share: 1 }],
  ) => {
    const s = scene({ lure: 'jerkbait', ...change })
    const looks = preyLooks(s, prey)
    return finishesOf('jerkbait').map(f => measure(f, s, looks))
  }
  it('finds a shad more like shad than a sunfish pattern, and the other way about', () => {
    const of = (kind: 'shad' | 'sunfish', id: string) =>
      measured({ visibilityM: 3 }, [{ kind, share: 1 }]).find(m => m.finish.id === `jerkbait.${id}`)!.natural
    expect(of('shad', 'silver-shad')).toBeGreaterThan(of('shad', 'sunfish'))
    expect(of('sunfish', 'sunfish')).toBeGreaterThan(of('sunfish', 'silver-shad'))
  })
  it('groups only what cannot be told apart, each finish in one group at most', () => {
    const groups = lookAlikeGroups(measured({ visibilityM: 0.6, tint: 'brown', fishM: 0.4 }))
    expect(groups.length).toBeGreaterThan(0)
    const all = groups.flat()
    expect(new Set(all).size).toBe(all.length)
    for (const g of groups) for (const m of g.slice(1)) expect(apartJnd(g[0]!, m)).toBeLessThan(1)
  })
  it('lumps more together the farther off the fish is', () => {
    const told = (fishM: number) => {
      const list = measured({ visibilityM: 1.5, fishM })
      return list.length - lookAlikeGroups(list).reduce((s, g) => s + g.length - 1, 0)
    }
    expect(told(0.15)).toBeGreaterThan(told(0.7))
  })
  it('puts the fish nearer in murkier water', () => {
    expect(usualFishM(0.1)).toBe(0.2)
    expect(usualFishM(4)).toBe(1)
    expect(clarityWord(0.1)).toBe('mud')
  })
})
