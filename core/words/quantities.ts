import { FOOT_IN, type UnitSystem, fahrenheitOf, feetOf } from '#core/units'

/**
 * A distance (m) in the angler's units, short: "1.8 m", "45 cm", "6 ft", "8 in"; never less than one of the smaller
 * unit.
 */
export function lengthWords(m: number, units: UnitSystem): string {
  if (units === 'us') {
    const ft = feetOf(m)
    const inches = Math.max(1, Math.round(ft * FOOT_IN))
    if (inches < FOOT_IN) return `${inches} in`
    return `${ft < 10 ? trim(ft.toFixed(1)) : Math.round(ft)} ft`
  }
  if (m < 1) return `${Math.max(1, Math.round(m * 100))} cm`
  return `${m < 10 ? trim(m.toFixed(1)) : Math.round(m)} m`
}

/** A temperature (°C) in the angler's units: whole °F, or °C to a tenth. */
export function temperatureWords(c: number, units: UnitSystem): string {
  return units === 'us' ? `${Math.round(fahrenheitOf(c))} °F` : `${trim(c.toFixed(1))} °C`
}

/** "1.4 times", "twice", "3 times". */
export function timesWords(ratio: number): string {
  if (ratio >= 1.95 && ratio < 2.05) return 'twice'
  return `${ratio < 3 ? trim(ratio.toFixed(1)) : Math.round(ratio)} times`
}

const trim = (s: string) => s.replace(/\.0$/, '')
