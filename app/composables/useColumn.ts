import { type ComputedRef, type InjectionKey, type Ref, computed, inject, provide, watch } from 'vue'
import { useSceneStore } from '../stores/scene'
import { useSettingsStore } from '../stores/settings'
import { labelInk, redTone } from '../utils/tone'
import type { ScreenModel } from '../workers/screen'

/** Depths the picture may reach, m: the smallest that holds what is in it. */
const REACHES_M = [0.75, 1.2, 2, 3, 4.5, 6.5, 9, 13, 18, 25, 36, 60]

/** Geometry of the picture: one scale for depth and range, in px per metre. */
export interface Column {
  width: Ref<number>
  height: Ref<number>
  skyH: ComputedRef<number>
  bedH: ComputedRef<number>
  waterH: ComputedRef<number>
  reachM: Ref<number>
  pxPerM: ComputedRef<number>
  lureX: ComputedRef<number>
  yOf: (depthM: number) => number
  /** Colour of the water at a depth, and the ink that reads on it. */
  colourAt: (depthM: number) => string
  inkAt: (depthM: number) => string
  /** A handle is held: the scale keeps still under the finger. */
  held: Ref<boolean>
  screen: Readonly<Ref<ScreenModel | null>>
  /** Fractions of the reach at which colours are asked for. */
  stops: readonly number[]
}

const KEY: InjectionKey<Column> = Symbol('column')
export const COLUMN_STOPS = [0.004, 0.03, 0.07, 0.13, 0.2, 0.28, 0.37, 0.47, 0.58, 0.7, 0.84, 1] as const

export function provideColumn(width: Ref<number>, height: Ref<number>, reachM: Ref<number>, held: Ref<boolean>, screen: Readonly<Ref<ScreenModel | null>>): Column {
  const store = useSceneStore()
  const settings = useSettingsStore()
  const skyH = computed(() => Math.round(Math.min(160, height.value * 0.255)))
  const bedH = computed(() => Math.round(Math.min(56, height.value * 0.1)))
  const waterH = computed(() => Math.max(120, height.value - skyH.value - bedH.value))
  const pxPerM = computed(() => waterH.value / reachM.value)
  const lureX = computed(() => Math.round(width.value * 0.45))

  function fit(): void {
    if (held.value || height.value < 50) return
    const s = store.scene
    // The fish must fit beside the lure on the same scale.
    const room = Math.max(60, width.value - lureX.value - 74)
    const least = Math.max(1.22 * store.depthM, 1.12 * Math.min(s.visibilityM, 8), s.fishM * waterH.value / room)
    const wanted = REACHES_M.find(r => r >= least) ?? REACHES_M.at(-1)!
    if (wanted !== reachM.value) reachM.value = wanted
  }
  watch([() => store.depthM, () => store.scene.visibilityM, () => store.scene.fishM, held, width, height], fit, { immediate: true })

  const colourAt = (depthM: number) => {
    const steps = screen.value?.column
    if (!steps?.length) return settings.theme === 'noon' ? '#8a9a8a' : '#20261f'
    const nearest = steps.reduce((a, b) => Math.abs(b.depthM - depthM) < Math.abs(a.depthM - depthM) ? b : a)
    return settings.theme === 'night' ? redTone(nearest.colour, 120) : nearest.colour
  }
  const column: Column = {
    width, height, skyH, bedH, waterH, reachM, pxPerM, lureX, held, screen, stops: COLUMN_STOPS,
    yOf: m => skyH.value + m * pxPerM.value,
    colourAt,
    inkAt: m => settings.theme === 'night' ? 'var(--ink)' : labelInk(colourAt(m)),
  }
  provide(KEY, column)
  return column
}

export function useColumn(): Column {
  const column = inject(KEY)
  if (!column) throw new Error('useColumn outside a water column')
  return column
}
