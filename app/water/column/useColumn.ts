import { type ComputedRef, type InjectionKey, type Ref, computed, inject, provide, ref, watch } from 'vue'
import type { Side } from '#core/lure/types'
import { useReadingStore } from '~/reading/store'
import { useSettingsStore } from '~/settings/store'
import { steady } from '~/common/steady'
import { beamFor, luminanceOfHex, mixed } from '~/figures/tone'
import { waterColour } from '~/figures/waterColour'
import type { ScreenModel } from '~/water/model'
import type { Answers } from '~/water/useScreen'

/** Depths the picture may reach, m: the smallest that holds what is in it. */
const REACHES_M = [0.75, 1.2, 2, 3, 4.5, 6.5, 9, 13, 18, 25, 36, 60]
/** The smallest reach that holds a depth, m. */
export const reachFor = (leastM: number) => REACHES_M.find(r => r >= leastM) ?? REACHES_M.at(-1)!

/** Geometry of the picture: one scale for depth and range, in px per metre. */
export interface ColumnView {
  width: Ref<number>
  height: Ref<number>
  skyH: ComputedRef<number>
  bedH: ComputedRef<number>
  /** Top of the bottom: where the water ends, or the foot of the picture. */
  bedY: ComputedRef<number>
  waterH: ComputedRef<number>
  reachM: Ref<number>
  pxPerM: ComputedRef<number>
  lureX: ComputedRef<number>
  lureY: ComputedRef<number>
  /** The disc, and where its flag and its words stand clear of the lure's, px. */
  disc: ComputedRef<{ x: number; y: number; flagY: number; wordsX: number; wordsY: number }>
  /** The fish, its bearing from the lure and where its number stands. */
  fish: ComputedRef<{ x: number; y: number; px: number; rad: number; labelX: number; labelY: number }>
  /** Top of the jars and the food, clear of what hangs in the water. */
  asideY: Readonly<Ref<number>>
  /** How far the cloud comes in when it covers all, and its left edge now, px. */
  cloudPx: ComputedRef<number>
  cloudX: ComputedRef<number>
  yOf: (depthM: number) => number
  /** Colours of the water at the stops, as drawn. */
  colours: ComputedRef<string[]>
  /** The ink that reads on water: it is never drawn so bright that white would not. */
  ink: ComputedRef<string>
  /** Plain water to stand words on, at a height of the picture, px: the same water without lines across it. */
  patch: (top: number, height: number) => string
  /** How strong sunbeams are drawn, 0-1. */
  beams: ComputedRef<number>
  /** A handle is held: the scale keeps still under the finger. */
  held: Ref<boolean>
  screen: Readonly<Ref<ScreenModel | null>>
}

/** Breadth of the disc's words, and breadth and height of jars and food together, px. */
const WORDS_PX = 136
const ASIDE = { width: 246, height: 122 } as const
/** Words that stand on the bottom take so much of the water above it, px. */
const BED_WORDS_PX = 40
/** Sunbeams are never drawn stronger than this. */
const MOST_BEAM = 0.07
/** A bottom so many times deeper than the rest of the picture is left out of it. */
const FAR_BELOW = 4
/** Bearing of a fish on each side of the lure, degrees below level. */
const SIDE_DEG: Record<Side, number> = { level: 0, below: 52, above: -40 }

const KEY: InjectionKey<ColumnView> = Symbol('column')

/** Fractions of the reach at which colours are asked for. */
export const COLUMN_STOPS = [0.004, 0.03, 0.07, 0.13, 0.2, 0.28, 0.37, 0.47, 0.58, 0.7, 0.84, 1] as const

export function provideColumn(
  width: Ref<number>,
  height: Ref<number>,
  reachM: Ref<number>,
  held: Ref<boolean>,
  { water, screen }: Pick<Answers, 'water' | 'screen'>,
): ColumnView {
  const store = useReadingStore()
  const settings = useSettingsStore()
  const skyH = computed(() => Math.round(Math.min(160, height.value * 0.255)))
  const bedH = computed(() => Math.round(Math.min(56, height.value * 0.1)))
  const waterH = computed(() => Math.max(120, height.value - skyH.value - bedH.value))
  const pxPerM = computed(() => waterH.value / reachM.value)
  const lureX = computed(() => Math.round(width.value * 0.45))
  const bedY = computed(() => {
    const foot = height.value - bedH.value
    const { waterM } = store.reading
    return waterM === null ? foot : Math.min(foot, skyH.value + waterM * pxPerM.value)
  })

  const yOf = (m: number) => skyH.value + m * pxPerM.value
  /** Height of a thing that may hang below the picture: at its foot then. */
  const yWithin = (m: number) => yOf(Math.min(m, reachM.value * 0.97))
  const lureY = computed(() => yWithin(store.depthM))
  const disc = steady(() => {
    const y = yWithin(store.reading.visibilityM)
    const x = Math.round(width.value * 0.27)
    const clear = (px: number) => (Math.abs(y - lureY.value) >= px ? y : lureY.value + (y <= lureY.value ? -px : px))
    return { x, y, flagY: clear(29), wordsX: x + 36, wordsY: clear(50) }
  })

  const fish = steady(() => {
    const { fishM, side } = store.reading
    const rad = (SIDE_DEG[side] * Math.PI) / 180
    const px = Math.max(30, fishM * pxPerM.value)
    const x = Math.min(width.value - 46, lureX.value + px * Math.cos(rad) + 42)
    const y = Math.min(bedY.value - 22, Math.max(skyH.value + 26, lureY.value + px * Math.sin(rad)))
    // The number stands below the fish, or above it where it would be in the way of the disc's words.
    const labelX = Math.min(x - 34, width.value - 116)
    const meets = labelX < disc.value.wordsX + WORDS_PX && Math.abs(y + 42 - disc.value.wordsY) < 40
    return { x, y, px, rad, labelX, labelY: meets ? y - 60 : y + 20 }
  })

  const asideY = ref(0)
  watch(
    [skyH, bedY, height, width, lureY, disc, fish],
    () => {
      const lowest = bedY.value - BED_WORDS_PX - ASIDE.height
      const highest = skyH.value + 12
      const taken: [number, number][] = [
        [lureY.value - 32, lureY.value + 32],
        [fish.value.y - 26, fish.value.y + 26],
        [fish.value.labelY - 8, fish.value.labelY + 36],
      ]
      if (disc.value.wordsX + WORDS_PX > width.value - ASIDE.width)
        taken.push([disc.value.wordsY - 18, disc.value.wordsY + 18])
      const free = (top: number) =>
        top >= highest && top <= lowest && taken.every(([t, b]) => top + ASIDE.height <= t || top >= b)
      /** How much of what is taken they would cover there, px. */
      const covered = (top: number) =>
        taken.reduce((s, [t, b]) => s + Math.max(0, Math.min(b, top + ASIDE.height) - Math.max(t, top)), 0)
      // They keep their place as long as it is free, so that they do not jump about under a drag.
      if (!free(asideY.value))
        asideY.value =
          [highest, lowest, ...taken.flatMap(([t, b]) => [b, t - ASIDE.height])].find(free) ??
          (covered(lowest) < covered(highest) ? lowest : highest)
    },
    { immediate: true },
  )
  const cloudPx = computed(() => width.value * 0.72 - 26)
  const cloudX = computed(() => width.value - 26 - store.reading.cloud * cloudPx.value)

  function fit(): void {
    if (held.value || height.value < 50) return
    const s = store.reading
    // The fish must fit beside the lure on the same scale.
    const room = Math.max(60, width.value - lureX.value - 74)
    const seen = Math.max(1.22 * store.depthM, 1.12 * Math.min(s.visibilityM, 8), (s.fishM * waterH.value) / room)
    // The bottom is in the picture unless it lies far below all else.
    const least = s.waterM !== null && s.waterM < FAR_BELOW * seen ? Math.max(seen, s.waterM) : seen
    const wanted = reachFor(least)
    if (wanted !== reachM.value) reachM.value = wanted
  }
  const fitted = () => [store.depthM, store.reading.visibilityM, store.reading.fishM, store.reading.waterM]
  watch([fitted, held, width, height], fit, { immediate: true })

  const colourAt = (depthM: number) => waterColour(water.value?.column, depthM, settings.theme)
  const colours = steady(() => COLUMN_STOPS.map(f => colourAt(f * reachM.value)))
  /** The picture's gradient at a height of it, between the colours above and below. */
  const shadeAt = (y: number) => {
    const f = Math.max(0, Math.min(1, (y - skyH.value) / waterH.value))
    const below = Math.max(
      1,
      COLUMN_STOPS.findIndex(s => s >= f),
    )
    const [from, to] = [COLUMN_STOPS[below - 1]!, COLUMN_STOPS[below]!]
    return mixed(veiled.value[below - 1]!, veiled.value[below]!, Math.max(0, (f - from) / (to - from)))
  }
  /** Sunbeams only where there is direct sun: drawn faint, and never so strong that words are lost on them. */
  const beams = computed(() => {
    const brightest = Math.max(0, ...(water.value?.column ?? []).map(s => luminanceOfHex(s.colour)))
    const sun = Math.max(0, ((water.value?.sunDeg ?? 0) / 90) * 0.3 * (1 - store.reading.cloud))
    return Math.min(MOST_BEAM, beamFor(brightest), sun)
  })
  /** The colours with as much of the beams over them as there is on average. */
  const veiled = steady(() => colours.value.map(c => mixed(c, '#ffffff', beams.value / 2)))
  const column: ColumnView = {
    width,
    height,
    skyH,
    bedH,
    bedY,
    waterH,
    reachM,
    pxPerM,
    lureX,
    lureY,
    disc,
    fish,
    asideY,
    cloudPx,
    cloudX,
    held,
    screen,
    yOf,
    colours,
    ink: computed(() => (settings.theme === 'night' ? 'var(--ink)' : '#fff')),
    patch: (top, height) => `linear-gradient(${shadeAt(top)},${shadeAt(top + height)})`,
    beams,
  }
  provide(KEY, column)
  return column
}

export function useColumn(): ColumnView {
  const column = inject(KEY)
  if (!column) throw new Error('useColumn outside a water column')
  return column
}
