import { LIMITS, VOCABULARY } from '#shared/vocabulary'
import { type Scene, firstScene } from './scene'

/**
 * A scene as a query string and back. Short keys, readable values; a value that is missing or not understood falls back to the
 * first scene's, so that an old or mangled link still opens.
 */
interface Codec<K extends keyof Scene> { key: string, write: (v: Scene[K]) => string, read: (text: string) => Scene[K] | undefined }

const number = (decimals: number, [lo, hi]: readonly [number, number]) => ({
  write: (v: number) => String(Number(v.toFixed(decimals))),
  read: (t: string) => {
    const n = Number(t)
    return t !== '' && Number.isFinite(n) ? Math.min(hi, Math.max(lo, n)) : undefined
  },
})
const word = <T extends string>(list: readonly T[]) => ({ write: (v: T) => v, read: (t: string) => list.includes(t as T) ? t as T : undefined })
const words = <T extends string>(list: readonly T[]) => ({ write: (v: readonly T[]) => v.join('.'), read: (t: string) => t.split('.').filter((w): w is T => list.includes(w as T)) })
const flag = { write: (v: boolean) => v ? '1' : '0', read: (t: string) => t === '1' ? true : t === '0' ? false : undefined }
const orNone = <T>(c: { write: (v: T) => string, read: (t: string) => T | undefined }) => ({ write: (v: T | null) => v === null ? 'auto' : c.write(v), read: (t: string) => t === 'auto' ? null : c.read(t) })

const UUID = /^[0-9a-f-]{36}$/
const CODECS: { [K in keyof Scene]: Codec<K> } = {
  lure: { key: 'lure', ...word(VOCABULARY.lure) },
  species: { key: 'fish', ...word(VOCABULARY.species) },
  school: { key: 'school', ...word(VOCABULARY.school) },
  visibilityM: { key: 'vis', ...number(2, LIMITS.visibilityM) },
  tint: { key: 'tint', ...word(VOCABULARY.tint) },
  temperatureC: { key: 'temp', ...orNone(number(1, LIMITS.temperatureC)) },
  trend: { key: 'trend', ...orNone(word(VOCABULARY.trend)) },
  salinity: { key: 'salt', ...word(VOCABULARY.salinity) },
  pressure: { key: 'pressure', ...word(VOCABULARY.pressure) },
  prey: { key: 'lives', ...words(VOCABULARY.forage) },
  cloud: { key: 'cloud', ...number(2, LIMITS.share) },
  rain: { key: 'rain', ...flag },
  wind: { key: 'wind', ...word(VOCABULARY.wind) },
  canopy: { key: 'canopy', ...word(VOCABULARY.canopy) },
  lamps: { key: 'lamps', ...flag },
  timeMs: {
    key: 'at', write: v => new Date(v).toISOString().slice(0, 16), read: (t) => {
      const ms = Date.parse(`${t}Z`)
      return Number.isFinite(ms) ? ms : undefined
    },
  },
  latitude: { key: 'lat', ...number(3, LIMITS.latitude) },
  longitude: { key: 'lon', ...number(3, LIMITS.longitude) },
  offsetMin: { key: 'utc', ...number(0, [-840, 840]) },
  waterId: { key: 'water', write: v => v ?? 'none', read: t => t === 'none' ? null : UUID.test(t) ? t : undefined },
  season: { key: 'season', ...orNone(word(VOCABULARY.season)) },
  forage: {
    key: 'food',
    write: v => v.map(f => `${f.kind}:${Math.round(f.share * 100)}`).join('.'),
    read: t => t.split('.').flatMap((pair) => {
      const [kind, share] = pair.split(':')
      const n = Number(share) / 100
      return VOCABULARY.forage.includes(kind as never) && n > 0 && n <= 1 ? [{ kind: kind as Scene['forage'][number]['kind'], share: n }] : []
    }),
  },
  clues: { key: 'clues', ...words(VOCABULARY.clue) },
  depthM: { key: 'depth', ...orNone(number(2, LIMITS.depthM)) },
  background: { key: 'behind', ...word(VOCABULARY.background) },
  fishM: { key: 'range', ...number(2, LIMITS.fishM) },
  side: { key: 'side', ...word(['level', 'below', 'above'] as const) },
  fishedThrough: { key: 'shown', ...words(VOCABULARY.family) },
  bitesRefused: { key: 'refused', ...flag },
}
const FIELDS = Object.keys(CODECS) as (keyof Scene)[]

/** Query of a scene; lists that are empty are left out. Shares of food are written in per cent, because a dot parts the entries of a list. */
export function sceneQuery(s: Scene): Record<string, string> {
  const out: Record<string, string> = {}
  for (const f of FIELDS) {
    const text = (CODECS[f] as Codec<typeof f>).write(s[f])
    if (text !== '') out[CODECS[f].key] = text
  }
  return out
}

/** The scene of a query; null where the query holds none of a scene's keys. */
export function sceneFromQuery(query: Record<string, unknown>): Scene | null {
  const scene = firstScene()
  let any = false
  for (const f of FIELDS) {
    const text = query[CODECS[f].key]
    if (typeof text !== 'string') continue
    const value = (CODECS[f] as Codec<typeof f>).read(text)
    if (value === undefined) continue
    any = true
    Object.assign(scene, { [f]: value })
  }
  return any ? scene : null
}
