import { createPinia, setActivePinia } from 'pinia'
import { type EffectScope, effectScope, nextTick, ref } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useReadingStore } from '~/reading/store'
import type { ScreenModel } from '~/water/model'
import { useSettingsStore } from '~/settings/store'
import { COLUMN_STOPS, provideColumn } from './useColumn'

let scope: EffectScope
beforeEach(() => {
  setActivePinia(createPinia())
  scope = effectScope()
  // The picture is provided to its parts; here there are none.
  vi.spyOn(console, 'warn').mockImplementation(() => {})
})
afterEach(() => {
  scope.stop()
  vi.restoreAllMocks()
})

function column(width = 424, height = 700) {
  const held = ref(false)
  const reachM = ref(3)
  const screen = ref<ScreenModel | null>(null)
  const made = scope.run(() => provideColumn(ref(width), ref(height), reachM, held, { water: screen, screen }))!
  return { ...made, held, reachM, screen, store: useReadingStore() }
}

describe("the picture's geometry", () => {
  it('has one scale for depth and range', () => {
    const c = column()
    expect([c.skyH.value, c.bedH.value, c.waterH.value]).toEqual([160, 56, 484])
    expect(c.pxPerM.value).toBeCloseTo(484 / 2, 6)
    expect(c.yOf(0)).toBe(160)
    expect(c.yOf(2)).toBe(644)
    expect(c.lureX.value).toBe(191)
    expect(c.lureY.value).toBeCloseTo(160 + 1.5 * 242, 6)
  })
  it('leaves a small picture its water', () => {
    const c = column(390, 404)
    expect([c.skyH.value, c.bedH.value, c.waterH.value]).toEqual([103, 40, 261])
    expect(column(390, 150).waterH.value).toBe(120)
  })
  it.each([
    [{ depthM: 0.2, visibilityM: 0.3, fishM: 0.2 }, 0.75],
    [{ depthM: 0.2, visibilityM: 1, fishM: 0.2 }, 1.2],
    [{ depthM: 2, visibilityM: 1, fishM: 0.2 }, 3],
    [{ depthM: 0.2, visibilityM: 4, fishM: 0.2 }, 4.5],
    [{ depthM: 0.2, visibilityM: 30, fishM: 0.2 }, 9],
    [{ depthM: 12, visibilityM: 1, fishM: 0.2 }, 18],
    [{ depthM: 0.2, visibilityM: 1, fishM: 2 }, 6.5],
    [{ depthM: 60, visibilityM: 1, fishM: 0.2 }, 60],
  ])('reaches as deep as what is in it wants: %j', async (reading, reach) => {
    const c = column()
    c.store.set(reading, 0)
    await nextTick()
    expect(c.reachM.value).toBe(reach)
  })
  it('has room for the fish beside the lure, also where the picture is narrow', async () => {
    for (const width of [300, 424, 700]) {
      const c = column(width)
      c.store.set({ depthM: 0.2, visibilityM: 0.5, fishM: 1.6 }, 0)
      await nextTick()
      // Left over for the fish's own body and the picture's edge.
      expect(c.lureX.value + 1.6 * c.pxPerM.value + 74).toBeLessThanOrEqual(Math.max(width, c.lureX.value + 134) + 0.01)
    }
  })
  it('reaches to the bottom where that is not many times deeper than all else', async () => {
    const reach = async (waterM: number) => {
      const c = column()
      c.store.set({ depthM: 2, visibilityM: 2.6, fishM: 0.2, waterM }, 0)
      await nextTick()
      return c.reachM.value
    }
    // All else wants 2.9 m: the bottom is in the picture down to 11.6 m.
    expect([await reach(6), await reach(11.5), await reach(11.8)]).toEqual([6.5, 13, 3])
  })
  it('keeps its scale still under a finger', async () => {
    const c = column()
    c.held.value = true
    c.store.set({ depthM: 12 }, 0)
    await nextTick()
    expect(c.reachM.value).toBe(2)
    c.held.value = false
    await nextTick()
    expect(c.reachM.value).toBe(18)
  })
  it('keeps flags and words of the disc and the lure apart', async () => {
    const c = column()
    c.store.set({ depthM: 1.5, visibilityM: 1.5 }, 0)
    await nextTick()
    const { y, flagY, wordsY, x, wordsX } = c.disc.value
    expect([Math.abs(flagY - c.lureY.value), Math.abs(wordsY - c.lureY.value)]).toEqual([29, 50])
    expect([x, wordsX, y]).toEqual([114, 150, c.lureY.value])
    c.store.set({ visibilityM: 0.5 }, 10)
    await nextTick()
    expect(c.disc.value.flagY).toBe(c.disc.value.y)
    expect(c.disc.value.y).toBeLessThan(c.lureY.value)
  })
  it('puts the fish where it looks from, at its distance', async () => {
    const c = column()
    c.store.set({ fishM: 0.5, side: 'level', depthM: 1 }, 0)
    await nextTick()
    const level = c.fish.value
    expect(level.px).toBeCloseTo(0.5 * c.pxPerM.value, 6)
    expect(level.x).toBeCloseTo(c.lureX.value + level.px + 42, 6)
    expect(level.y).toBeCloseTo(c.lureY.value, 6)
    c.store.set({ side: 'below' }, 10)
    await nextTick()
    expect(c.fish.value.y - c.lureY.value).toBeCloseTo(level.px * Math.sin((52 * Math.PI) / 180), 6)
    c.store.set({ side: 'above' }, 20)
    await nextTick()
    expect(c.fish.value.y).toBeLessThan(c.lureY.value)
    c.store.set({ fishM: 0.1 }, 30)
    await nextTick()
    expect(c.fish.value.px).toBe(30)
  })
  it('keeps the jars clear of what hangs in the water', async () => {
    const c = column()
    for (const depthM of [0.1, 0.4, 0.8, 1.2, 1.6, 2.4]) {
      c.store.set({ depthM, visibilityM: 1.2 }, depthM * 1e4)
      await nextTick()
      const [top, bottom] = [c.asideY.value, c.asideY.value + 122]
      expect(bottom <= c.lureY.value - 32 || top >= c.lureY.value + 32, `at ${depthM} m`).toBe(true)
      expect(top).toBeGreaterThanOrEqual(c.skyH.value + 12)
    }
  })
  it('ends where the water does, and holds the bottom unless it lies far below all else', async () => {
    const c = column()
    expect(c.bedY.value).toBe(700 - 56)
    c.store.set({ depthM: 0.5, visibilityM: 1, waterM: 2.6, fishM: 0.3 }, 0)
    await nextTick()
    expect(c.reachM.value).toBe(3)
    expect(c.bedY.value).toBeCloseTo(160 + (2.6 * 484) / 3, 6)
    expect(c.fish.value.y).toBeLessThanOrEqual(c.bedY.value - 22)
    expect(c.asideY.value + 122 + 40).toBeLessThanOrEqual(c.bedY.value)
    c.store.set({ waterM: 40 }, 10)
    await nextTick()
    expect(c.reachM.value).toBe(1.2)
    expect(c.bedY.value).toBe(644)
  })
  it("keeps the fish's number out of the disc's words", async () => {
    const c = column()
    c.store.set({ depthM: 1, visibilityM: 1.05, fishM: 0.15, side: 'level' }, 0)
    await nextTick()
    const { fish, disc } = c
    expect(fish.value.labelX).toBeLessThan(disc.value.wordsX + 136)
    expect(Math.abs(fish.value.labelY + 22 - disc.value.wordsY)).toBeGreaterThan(30)
    expect(disc.value.wordsX).toBe(Math.round(0.27 * 424) + 36)
    c.store.set({ fishM: 30 }, 10)
    await nextTick()
    expect(c.fish.value.x).toBeLessThanOrEqual(424 - 46)
    expect(c.fish.value.labelX).toBeLessThanOrEqual(424 - 116)
  })
  it('asks for colours closest together near the surface, down to its foot', () => {
    const steps = COLUMN_STOPS.slice(1).map((s, i) => s - COLUMN_STOPS[i]!)
    expect(COLUMN_STOPS[0]).toBeLessThan(0.005)
    expect(COLUMN_STOPS.at(-1)).toBe(1)
    for (let i = 1; i < steps.length; i++) expect(steps[i]!).toBeGreaterThan(steps[i - 1]! * 0.999)
  })
  it('draws the cloud in from the right', () => {
    const c = column()
    expect(c.cloudPx.value).toBeCloseTo(424 * 0.72 - 26, 6)
    c.store.set({ cloud: 1 }, 0)
    expect(c.cloudX.value).toBeCloseTo(424 - 26 - c.cloudPx.value, 6)
    c.store.set({ cloud: 0 }, 10)
    expect(c.cloudX.value).toBe(398)
  })
})

describe("the picture's parts", () => {
  it('are drawn anew only where they change', async () => {
    const c = column()
    c.store.set({ depthM: 1.4, visibilityM: 2.4, fishM: 1 }, 0)
    await nextTick()
    const before = { fish: c.fish.value, disc: c.disc.value }
    c.store.set({ visibilityM: 2.5 }, 0)
    expect(c.fish.value).toBe(before.fish)
    expect(c.disc.value).not.toBe(before.disc)
    c.store.set({ depthM: 1.3 }, 2000)
    expect(c.fish.value).not.toBe(before.fish)
  })
})

describe("the picture's colours", () => {
  it('are those worked out for the nearest depth, with ink that reads on them', () => {
    const c = column()
    const step = (depthM: number, colour: string) => ({ depthM, colour, luminance: 0, cones: [] })
    c.screen.value = { column: [step(0, '#c9d88a'), step(2, '#203008')] } as unknown as ScreenModel
    // The reach is 2 m: the middle between the two is at half of it.
    expect(c.colours.value).toEqual(COLUMN_STOPS.map(f => (f < 0.5 ? '#c9d88a' : '#203008')))
    expect(c.ink.value).toBe('#fff')
    useSettingsStore().theme = 'night'
    expect([c.colours.value[0], c.ink.value]).toEqual([expect.stringMatching(/^#[0-7].(0|1)/), 'var(--ink)'])
  })
  it('are under words what they are in the gradient, and leave beams the room that words allow', () => {
    const c = column()
    const colours = COLUMN_STOPS.map((s, i) => ({
      depthM: s * c.reachM.value,
      colour: i < 6 ? '#406040' : '#203020',
      luminance: 0,
      cones: [],
    }))
    c.screen.value = { column: colours } as unknown as ScreenModel
    const at = (f: number) => c.skyH.value + f * c.waterH.value
    const between = (COLUMN_STOPS[5]! + COLUMN_STOPS[6]!) / 2
    expect(c.patch(at(0.1), 0)).toBe('linear-gradient(#406040,#406040)')
    expect(c.patch(at(between), at(1) - at(between))).toBe('linear-gradient(#304830,#203020)')
    expect(c.beams.value).toBe(0)
    c.store.set({ cloud: 0 }, 0)
    c.screen.value = { column: colours, sunDeg: 60 } as unknown as ScreenModel
    expect(c.beams.value).toBeCloseTo(0.07)
    expect(c.patch(at(0.1), 0)).toBe('linear-gradient(#476647,#476647)')
    const bright = [{ depthM: 0, colour: '#727272', luminance: 0, cones: [] }]
    c.screen.value = { column: bright, sunDeg: 60 } as unknown as ScreenModel
    expect(c.beams.value).toBeGreaterThan(0)
    expect(c.beams.value).toBeLessThan(0.05)
  })
  it('have beams as strong as the sun is high and the cloud thin, and none in water near white', () => {
    const c = column()
    const seen = (sunDeg: number, colour = '#203020') => {
      c.screen.value = { column: [{ depthM: 0, colour, luminance: 0, cones: [] }], sunDeg } as unknown as ScreenModel
      return c.beams.value
    }
    c.store.set({ cloud: 0 }, 0)
    expect(seen(9)).toBeCloseTo(0.03, 6)
    expect(seen(15)).toBeCloseTo(0.05, 6)
    expect(seen(-5)).toBe(0)
    c.store.set({ cloud: 0.5 }, 0)
    expect(seen(15)).toBeCloseTo(0.025, 6)
    expect(seen(60, '#f4f4f4')).toBeLessThan(0.02)
  })
  it('stand in until the first are worked out', () => {
    const c = column()
    expect(c.colours.value[3]).toBe('#5f6d5f')
    useSettingsStore().theme = 'dusk'
    expect(c.colours.value[3]).toBe('#20261f')
    expect(COLUMN_STOPS[0]).toBeLessThan(0.01)
    expect(COLUMN_STOPS.at(-1)).toBe(1)
  })
})
