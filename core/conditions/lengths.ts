import type { UnitSystem } from '#core/conditions/request'

/** Metres in a foot. */
export const FOOT_M = 0.3048

/** A distance in the angler's units, short: "1.8 m", "45 cm", "6 ft", "8 in". */
export function lengthWords(m: number, units: UnitSystem): string {
  if (units === 'us') {
    const ft = m / FOOT_M
    return ft < 1 ? `${Math.max(1, Math.round(ft * 12))} in` : `${ft < 10 ? trim(ft.toFixed(1)) : Math.round(ft)} ft`
  }
  return m < 1 ? `${Math.max(1, Math.round(m * 100))} cm` : `${m < 10 ? trim(m.toFixed(1)) : Math.round(m)} m`
}

/** A temperature in the angler's units. */
export function temperatureWords(c: number, units: UnitSystem): string {
  return units === 'us' ? `${Math.round(c * 9 / 5 + 32)} °F` : `${trim(c.toFixed(1))} °C`
}

/** "1.4 times", "twice", "3 times". */
export function timesWords(ratio: number): string {
  return ratio >= 1.95 && ratio < 2.05 ? 'twice' : `${ratio < 3 ? trim(ratio.toFixed(1)) : Math.round(ratio)} times`
}

const trim = (s: string) => s.replace(/\.0$/, '')
