import { describe, expect, it } from 'vitest'
import { buildFinish } from '#core/lure/finish'
import { parseCoat } from '#core/paintwork/coat'
import { lineSightM } from '#core/sight/line'
import { jndBetween, look } from '#core/sight/look'
import { type SceneInput, buildScene } from '#core/sight/scene'
import { TINTS, type TintId } from '#core/water/tints'
import { FULL_MOON, NOON, OVERCAST, seen } from '../../tests/reference/scenes'

const level = (coat: string, scene: Partial<SceneInput>) => seen(coat, scene).level.sightM
const apart = (a: string, b: string, scene: Partial<SceneInput>) =>
  jndBetween(seen(a, scene).level.fish, seen(b, scene).level.fish)

/** The phenomena of the light model, P1 to P10 (P11 and P12 stand with the water). */
describe('what the water shows', () => {
  it('P1: in tea pale colours are seen farther than black, far more so away from the sun, and less into it', () => {
    const tea = { tint: 'tea', visibilityM: 1, depthM: 0.8 } as const
    const black = seen('black', tea)
    for (const coat of ['white', 'orange', 'chartreuse']) {
      const pale = seen(coat, tea)
      expect(pale.level.sightM).toBeGreaterThan(1.08 * black.level.sightM)
      expect(pale.headings.away.sightM).toBeGreaterThan(1.5 * black.headings.away.sightM)
      expect(pale.headings.toward.sightM).toBeLessThan(black.headings.toward.sightM)
    }
  })
  it('P2: in silt black is seen at least 1.3 times as far as white; away from the sun white catches up', () => {
    const silt = { tint: 'brown', visibilityM: 0.5, depthM: 0.4 } as const
    const [white, black] = [seen('white', silt), seen('black', silt)]
    expect(black.level.sightM).toBeGreaterThan(1.3 * white.level.sightM)
    expect(white.headings.away.sightM).toBeGreaterThan(0.95 * black.headings.away.sightM)
  })
  it('P3: in clear water white and black are within a fifth; a mirror is lost across the sun, plain along it', () => {
    const clear = { tint: 'blue-clear', visibilityM: 6, depthM: 1 } as const
    const [white, black, mirror] = ['white', 'black', 'silver'].map(c => seen(c, clear)) as [
      ReturnType<typeof seen>,
      ReturnType<typeof seen>,
      ReturnType<typeof seen>,
    ]
    expect(Math.max(white.level.sightM, black.level.sightM)).toBeLessThan(
      1.2 * Math.min(white.level.sightM, black.level.sightM),
    )
    for (const coat of ['white', 'black', 'olive', 'chartreuse', 'orange', 'bone'])
      expect(mirror.headings.across.sightM).toBeLessThan(seen(coat, clear).headings.across.sightM)
    for (const way of ['toward', 'away'] as const)
      expect(mirror.headings[way].sightM).toBeGreaterThan(0.85 * black.headings[way].sightM)
  })
  it('is seen the one way the angler says, and the mean of all where nothing is said', () => {
    const at = (facing: SceneInput['facing']) => seen('white', { tint: 'tea', facing })
    const any = at('any')
    expect(at('sun-in-face').level.sightM).toBe(any.headings.away.sightM)
    expect(at('sun-at-back').level.sightM).toBe(any.headings.toward.sightM)
    expect(at('across').level.sightM).toBe(any.headings.across.sightM)
    const { toward, across, away } = any.headings
    expect(any.level.sightM).toBeCloseTo((toward.sightM + 2 * across.sightM + away.sightM) / 4, 9)
    const dull = seen('white', { tint: 'tea', sky: OVERCAST })
    expect(dull.headings.toward).toBe(dull.headings.away)
  })
  it('P4: from straight below by day all opaque bellies are alike, and a translucent one is clearly shorter', () => {
    for (const [tint, visibilityM, most] of [
      ['tea', 1, 1.04],
      // Over silt the light thrown up is strong enough to lift a white belly a little.
      ['brown', 0.5, 1.11],
      ['blue-clear', 6, 1.1],
      ['green', 1.5, 1.1],
    ] as const) {
      for (const sky of [NOON.sky, OVERCAST]) {
        const below = (coat: string) =>
          seen(coat, { tint, visibilityM, sky, depthM: 0.05, lure: 'walking-topwater' }).below.sightM
        const opaque = ['white', 'black', 'chartreuse', 'orange', 'red', 'olive', 'bone'].map(below)
        expect(Math.max(...opaque) / Math.min(...opaque)).toBeLessThan(most)
        expect(below('clear')).toBeLessThan(0.85 * Math.min(...opaque))
      }
    }
  })
  it('keeps a black flank between half and four fifths of the reading in every tint', () => {
    for (const tint of Object.keys(TINTS) as TintId[]) {
      for (const visibilityM of [0.3, 0.5, 0.8, 1.2, 2, 3, 5, 8]) {
        const share = level('black', { tint, visibilityM, depthM: Math.min(1, visibilityM / 2) }) / visibilityM
        expect(share, `${tint} at ${visibilityM} m`).toBeGreaterThan(0.5)
        expect(share, `${tint} at ${visibilityM} m`).toBeLessThan(0.8)
      }
    }
  })
  it('ends at the surface and at the bottom', () => {
    const shallow = { tint: 'blue-clear', visibilityM: 8, depthM: 0.6, waterM: 1.4 } as const
    expect(seen('black', shallow).below.sightM).toBeCloseTo(0.8, 6)
    expect(seen('black', shallow).above.sightM).toBeCloseTo(0.6, 6)
    expect(seen('black', { ...shallow, waterM: null }).below.sightM).toBeGreaterThan(2)
    expect(seen('white', { ...shallow, lure: 'walking-topwater', depthM: 0 }).above.sightM).toBe(0)
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
