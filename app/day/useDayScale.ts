import { type ComputedRef, type InjectionKey, type Ref, type ShallowRef, computed, inject, provide } from 'vue'
import type { DayShown, PlanShown } from './work'

/** Breadth of the column of names beside the picture, px. */
export const NAMES_PX = 104
/** Breadth of the same on a phone. */
export const NAMES_PHONE_PX = 62

/** The day laid out: one scale of hours for picture, lanes and shade, and the hour that is looked at. */
export interface DayScale {
  light: Readonly<ShallowRef<DayShown | null>>
  plan: Readonly<ShallowRef<PlanShown | null>>
  /** Breadth of the hours, px, and of the names left of them. */
  width: Ref<number>
  namesPx: ComputedRef<number>
  fromMin: ComputedRef<number>
  toMin: ComputedRef<number>
  /** Place of a minute of the day, px from the first. */
  xOf: (min: number) => number
  minOf: (px: number) => number
  /** The minute that is looked at. */
  cursorMin: ComputedRef<number>
}

const KEY: InjectionKey<DayScale> = Symbol('day')
/** A day that is not worked out yet. */
const USUAL = { fromMin: 300, toMin: 1320 }

export function provideDayScale(
  shown: Pick<DayScale, 'light' | 'plan' | 'width' | 'cursorMin'>,
  phone: Ref<boolean>,
): DayScale {
  const fromMin = computed(() => shown.light.value?.fromMin ?? USUAL.fromMin)
  const toMin = computed(() => shown.light.value?.toMin ?? USUAL.toMin)
  const perMin = computed(() => shown.width.value / Math.max(1, toMin.value - fromMin.value))
  const scale: DayScale = {
    ...shown,
    namesPx: computed(() => (phone.value ? NAMES_PHONE_PX : NAMES_PX)),
    fromMin,
    toMin,
    xOf: min => (min - fromMin.value) * perMin.value,
    minOf: px => fromMin.value + px / Math.max(1e-9, perMin.value),
  }
  provide(KEY, scale)
  return scale
}

export function useDayScale(): DayScale {
  const scale = inject(KEY)
  if (!scale) throw new Error('useDayScale outside a day')
  return scale
}
