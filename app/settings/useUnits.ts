import { computed } from 'vue'
import { celsiusOf, fahrenheitOf, feetOf, metresOf } from '#core/units'
import { lengthWords, temperatureWords } from '#core/words/quantities'
import { useSettingsStore } from './store'
import type { TypedQuantity } from './typed'

/** A number as the angler reads and types it, and back. */
export interface Scale {
  of: TypedQuantity
  unit: string
  step: number
  decimals: number
  show: (metric: number) => number
  read: (shown: number) => number
}

/** Lengths and temperatures in the units the angler set. Everything inside stays metric. */
export function useUnits() {
  const settings = useSettingsStore()
  const us = computed(() => settings.units === 'us')
  const length = computed<Scale>(() =>
    us.value
      ? { of: 'length', unit: 'ft', step: 0.1, decimals: 1, show: feetOf, read: metresOf }
      : { of: 'length', unit: 'm', step: 0.05, decimals: 2, show: m => m, read: m => m },
  )
  const temperature = computed<Scale>(() =>
    us.value
      ? { of: 'temperature', unit: '°F', step: 1, decimals: 0, show: fahrenheitOf, read: celsiusOf }
      : { of: 'temperature', unit: '°C', step: 0.5, decimals: 1, show: c => c, read: c => c },
  )
  return {
    length,
    temperature,
    lengthText: (m: number) => lengthWords(m, settings.units),
    /** Always in the larger unit, for tables and scales: "0.4 ft", not "5 in". */
    lengthNumber: (m: number) => Number(length.value.show(m).toFixed(us.value || m >= 10 ? 1 : 2)),
    temperatureText: (c: number) => temperatureWords(c, settings.units),
  }
}
