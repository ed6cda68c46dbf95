import { coverOf } from '#core/cover/cover'
import type { Request } from '#core/request/request'
import type { LuresRequest } from '#core/which-lure/request'
import { skyWord } from '#core/sky/weather'
import { READING, READING_KEYS, type ScreenReading, type ReadingField, type ReadingKey } from './fields'

export type { ScreenReading, ReadingKey } from './fields'

/** What a first visit opens on. */
export const firstReading = () => Object.fromEntries(READING_KEYS.map(k => [k, READING[k].first])) as ScreenReading

const isNothing = (v: unknown) => v === null || (Array.isArray(v) && v.length === 0)

/** Put a value at a path like "water.tint" of nested records, which are made as needed. */
function put(into: Record<string, unknown>, path: string, value: unknown): void {
  const [head, ...rest] = path.split('.') as [string, ...string[]]
  if (rest.length) put((into[head] ??= {}) as Record<string, unknown>, rest.join('.'), value)
  else into[head] = value
}

/** All of the ranking, for the list on the screen. */
const ALL = 60

/** What the engine is asked for a reading. Nothing that is left to it is sent. */
export function requestOf(r: ScreenReading, units: NonNullable<Request['units']>): Request {
  const asked: Record<string, unknown> = {}
  for (const key of READING_KEYS) {
    const { to } = READING[key] as ReadingField<unknown>
    if (r.cover === null && to?.startsWith('water.cover.')) continue
    const value = r[key]
    if (to && !isNothing(value)) put(asked, to, toPlain(value))
  }
  put(asked, 'light.sky', skyWord(r.cloud, r.rain))
  const time = new Date(r.timeMs).toISOString()
  put(asked, 'light.at', { time, latitude: r.latitude, longitude: r.longitude })
  return { ...asked, limit: ALL, units } as Request
}

/** The same without its lure and what belongs to that: which lure here? */
export function luresRequestOf(r: ScreenReading, units: NonNullable<Request['units']>): LuresRequest {
  const { water, light, species, school, season, forage, clues, background } = requestOf(r, units)
  const asked = { water, light, species, school, season, forage, clues, background, units }
  return Object.fromEntries(Object.entries(asked).filter(([, v]) => v !== undefined)) as unknown as LuresRequest
}

/** The same question asked of another moment; one without a time and place stays as it is. */
export function atTime<R extends Pick<Request, 'light'>>(asked: R, ms: number): R {
  const { light } = asked
  return light.at ? { ...asked, light: { ...light, at: { ...light.at, time: new Date(ms).toISOString() } } } : asked
}

/** How far down the top of the cover is, m: as set, or as such cover usually stands; null where nothing tells. */
export const topOf = ({
  cover,
  density,
  topM,
  waterM,
}: Pick<ScreenReading, 'cover' | 'density' | 'topM' | 'waterM'>) =>
  cover === null ? null : coverOf({ kind: cover, density, topM: topM ?? undefined }, waterM).topM

/** A list without Vue's watching wrapper, which cannot be sent to a worker. */
const toPlain = (v: unknown): unknown => (Array.isArray(v) ? v.map(e => (typeof e === 'object' ? { ...e } : e)) : v)

/**
 * Hold a change to what the server takes and a link can carry: numbers within their limits, and everything as it comes
 * back from the address, so that whoever opens the link sees what was seen.
 */
export function withinLimits(patch: Partial<ScreenReading>): Partial<ScreenReading> {
  const held: Partial<Record<ReadingKey, unknown>> = { ...patch }
  for (const key of Object.keys(patch) as ReadingKey[]) {
    const { limits, write, read } = READING[key] as ReadingField<unknown>
    const value = held[key]
    const within = limits && typeof value === 'number' ? Math.min(limits[1], Math.max(limits[0], value)) : value
    const linked = read(write(within))
    held[key] = linked === undefined ? within : linked
  }
  return held as Partial<ScreenReading>
}

/**
 * The lure gives way to the bottom: where one comes to stand under the other, the lure is lifted to it; so
 * is the top of cover.
 */
export function offBottom(patch: Partial<ScreenReading>, now: ScreenReading): Partial<ScreenReading> {
  const { waterM, depthM, topM } = { ...now, ...patch }
  if (waterM === null) return patch
  const lifted = depthM !== null && depthM > waterM ? { ...patch, depthM: waterM } : patch
  return topM !== null && topM > waterM ? { ...lifted, topM: waterM } : lifted
}
