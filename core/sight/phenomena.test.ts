import { describe, expect, it } from 'vitest'
import { buildFinish } from '#core/lure/finish'
import { parseCoat } from '#core/paintwork/coat'
import { lineSightM } from '#core/sight/line'
import { jndBetween, look } from '#core/sight/look'
import { type SceneInput, buildScene } from '#core/sight/scene'
import { FULL_MOON, NOON, OVERCAST, seen } from '../../tests/reference/scenes'

const level = (coat: string, scene: Partial<SceneInput>) => seen(coat, scene).level.sightM
const apart = (a: string, b: string, scene: Partial<SceneInput>) =>
  jndBetween(seen(a, scene).level.fish, seen(b, scene).level.fish)

/** The phenomena of the light model, P1 to P10 (P11 and P12 stand with the water). */
describe('what the water shows', () => {
  it('P1: in tea, white, orange and chartreuse are seen at least 1.2 times as far as black', () => {
    const tea = { tint: 'tea', visibilityM: 1, depthM: 0.8 } as const
    for (const coat of ['white', 'orange', 'chartreuse'])
      expect(level(coat, tea)).toBeGreaterThan(1.2 * level('black', tea))
  })
  it('P2: in silt, black is seen at least 1.3 times as far as white', () => {
    const silt = { tint: 'brown', visibilityM: 0.5, depthM: 0.4 } as const
    expect(level('black', silt)).toBeGreaterThan(1.3 * level('white', silt))
  })
  it('P3: in clear water white and black are within a fifth, and a mirror is the hardest to see', () => {
    const clear = { tint: 'blue-clear', visibilityM: 6, depthM: 1 } as const
    const [white, black, mirror] = ['white', 'black', 'silver'].map(c => level(c, clear)) as [number, number, number]
    expect(Math.max(white, black) / Math.min(white, black)).toBeLessThan(1.2)
    for (const coat of ['white', 'black', 'olive', 'chartreuse', 'orange', 'bone'])
      expect(mirror).toBeLessThan(level(coat, clear))
  })
  it('P4: from straight below by day all opaque bellies are alike, and a translucent one is clearly shorter', () => {
    for (const [tint, visibilityM] of [
      ['tea', 1],
      ['brown', 0.5],
      ['blue-clear', 6],
      ['green', 1.5],
    ] as const) {
      const below = (coat: string) =>
        seen(coat, { tint, visibilityM, depthM: 0.05, lure: 'walking-topwater' }).below.sightM
      const opaque = ['white', 'black', 'chartreuse', 'orange', 'red', 'olive', 'bone'].map(below)
      expect(Math.max(...opaque) / Math.min(...opaque)).toBeLessThan(1.1)
      expect(below('clear')).toBeLessThan(0.85 * Math.min(...opaque))
    }
  })
  it('P5: at 8 m in clear water red cannot be told from dark brown; at 0.3 m it can', () => {
    const clear = { tint: 'blue-clear', visibilityM: 6, fishM: 1 } as const
    expect(apart('red', 'dark-brown', { ...clear, depthM: 8 })).toBeLessThanOrEqual(1)
    expect(apart('red', 'dark-brown', { ...clear, depthM: 0.3 })).toBeGreaterThan(1)
  })
  it('P6: black flake on green-brown is lost past 0.6 m in stain and told at 0.2 m in clear water', () => {
    const worm = { lure: 'stick-worm', tint: 'green', depthM: 1 } as const
    expect(apart('olive+black*0.12', 'olive', { ...worm, visibilityM: 0.75, fishM: 0.6 })).toBeLessThan(1)
    expect(apart('olive+black*0.12', 'olive', { ...worm, visibilityM: 4, fishM: 0.2 })).toBeGreaterThan(1)
  })
  it('P7: white and white with chartreuse are one in stain under cloud', () => {
    expect(
      apart('white', 'white+chartreuse*0.4', {
        lure: 'spinnerbait',
        tint: 'green',
        visibilityM: 0.75,
        depthM: 1.2,
        fishM: 1.5,
        sky: OVERCAST,
      }),
    ).toBeLessThan(1)
  })
  it('P8: a fluorescent dye gains in clear water at 3 m and next to nothing in tea', () => {
    const gain = (scene: Partial<SceneInput>) =>
      seen('chartreuse:fluorescent', scene).level.contrastBite / seen('chartreuse', scene).level.contrastBite
    expect(gain({ tint: 'blue-clear', visibilityM: 5, depthM: 3 })).toBeGreaterThan(1.1)
    expect(gain({ tint: 'tea', visibilityM: 1, depthM: 3 })).toBeLessThan(1.01)
  })
  it('P9: flash dies with cloud and silt; gold flashes with silver in tea and less in clear water', () => {
    const flash = (coat: string, scene: Partial<SceneInput>) => seen(coat, { lure: 'inshore-spoon', ...scene }).flash
    const sun = flash('silver', { tint: 'green', visibilityM: 2 })
    expect(sun).toBeGreaterThan(10 * flash('silver', { tint: 'green', visibilityM: 2, sky: OVERCAST }))
    expect(sun).toBeGreaterThan(10 * flash('silver', { tint: 'brown', visibilityM: 0.3 }))
    const tea = { tint: 'tea', visibilityM: 1, depthM: 0.5 } as const
    expect(Math.abs(flash('gold', tea) / flash('silver', tea) - 1)).toBeLessThan(0.15)
    const clear = { tint: 'blue-clear', visibilityM: 6, depthM: 2 } as const
    expect(flash('silver', clear)).toBeGreaterThan(1.02 * flash('gold', clear))
    expect(flash('white', clear)).toBe(0)
  })
  it('P10: under a full moon only lightness counts', () => {
    const moon = { tint: 'green', visibilityM: 2, sky: FULL_MOON } as const
    const below = (coat: string) => seen(coat, { ...moon, depthM: 0.05, lure: 'walking-topwater' }).below.sightM
    expect(below('black')).toBeGreaterThan(below('pearl:translucent'))
    expect(apart('red', 'brown', { ...moon, depthM: 0.5, fishM: 0.5 })).toBeLessThan(1)
    expect(seen('chartreuse', { ...moon, depthM: 0.5 }).level.colourM).toBe(0)
  })
})

describe('moving parts and lines', () => {
  it('blends strands into one body between its colours', () => {
    const scene = { lure: 'spinnerbait', tint: 'green', visibilityM: 2 } as const
    const [a, mix, b] = ['black', 'black+white*0.5', 'white'].map(c => seen(c, scene).level.contrastBite) as [
      number,
      number,
      number,
    ]
    expect(mix).toBeGreaterThan(a)
    expect(mix).toBeLessThan(b)
  })
  it('shows a coloured braid from farther than a clear leader, and any line from less far than a lure', () => {
    // In silt a pale braid melts as white does; where the water is dark it stands out.
    for (const [tint, line, coat] of [
      ['tea', 'yellow-braid', 'yellow'],
      ['blue-clear', 'green-braid', 'grass'],
    ] as const) {
      const scene = buildScene({ ...NOON, tint, visibilityM: 2 })
      const braid = lineSightM(scene, line)
      expect(braid).toBeGreaterThan(lineSightM(scene, 'leader'))
      expect(braid).toBeLessThan(seen(coat, { tint, visibilityM: 2 }).level.sightM)
    }
  })
  it('shows a bright throat as an edge on a dark lure', () => {
    const scene = buildScene({ ...NOON, lure: 'walking-topwater', depthM: 0.05, fishM: 0.3 })
    const dress = (chin: string) =>
      look(
        buildFinish('walking-topwater', chin, chin, {
          belly: parseCoat('black'),
          flank: parseCoat('black'),
          back: parseCoat('black'),
          chin: parseCoat(chin),
        }),
        scene.stage,
      )
    expect(dress('orange').level.internalJnd).toBeGreaterThan(dress('black').level.internalJnd + 1)
  })
})
