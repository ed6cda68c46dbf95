import { READING, READING_KEYS, type ScreenReading, type ReadingField } from './fields'
import { firstReading } from './reading'

/** Query of a reading, with short keys and readable values; lists that are empty are left out. */
export function readingQuery(r: ScreenReading): Record<string, string> {
  const out: Record<string, string> = {}
  for (const k of READING_KEYS) {
    const { key, write } = READING[k] as ReadingField<unknown>
    const text = write(r[k])
    if (text !== '') out[key] = text
  }
  return out
}

/** The reading of a query, at `nowMs` where it names no moment; null where it holds none of a reading's keys. */
export function readingFromQuery(query: Record<string, unknown>, nowMs: number): ScreenReading | null {
  const found: Partial<Record<keyof ScreenReading, unknown>> = {}
  for (const k of READING_KEYS) {
    const { key, read } = READING[k] as ReadingField<unknown>
    const text = query[key]
    const value = typeof text === 'string' ? read(text) : undefined
    if (value !== undefined) found[k] = value
  }
  return Object.keys(found).length ? { ...firstReading(), timeMs: nowMs, ...(found as Partial<ScreenReading>) } : null
}
