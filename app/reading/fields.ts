import { SIDES, type Side } from '#core/lure/types'
import type { ListField, NumberField, WordField } from '#core/request/field'
import { REQUEST } from '#core/request/request'
import { UUID } from '#shared/uuid'

/**
 * One thing the angler sets on the screen: its key in the address, how it is written there and read back, what a
 * first visit opens on, and where it goes in the request. The reading, its address, its limits and the request are
 * all made from these records.
 */
export interface ReadingField<T> {
  key: string
  first: T
  write: (v: T) => string
  /**
   * undefined where the text is not understood: the first value stands then, so that an old or mangled link still
   * opens.
   */
  read: (text: string) => T | undefined
  /** Path in the request; absent where the request does not hold it as it is. */
  to?: string
  /** Numbers are held within these. */
  limits?: readonly [number, number]
}

type Written<T> = Pick<ReadingField<T>, 'write' | 'read' | 'limits'>

const number = ({ range: [lo, hi] }: Pick<NumberField, 'range'>, decimals: number): Written<number> => ({
  write: v => String(Number(v.toFixed(decimals))),
  read: t => {
    const n = Number(t)
    return t.trim() !== '' && Number.isFinite(n) ? Math.min(hi, Math.max(lo, n)) : undefined
  },
  limits: [lo, hi],
})
const word = <W extends string>({ words }: { words: readonly W[] }): Written<W> => ({
  write: v => v,
  read: t => words.find(w => w === t),
})
const words = <W extends string>({ of }: ListField<WordField<W>>): Written<readonly W[]> => ({
  write: v => v.join('.'),
  read: t => t.split('.').flatMap(part => of.words.find(w => w === part) ?? []),
})
const flag: Written<boolean> = {
  write: v => (v ? '1' : '0'),
  read: t => (t === '1' ? true : t === '0' ? false : undefined),
}
/** The same, or nothing given: "auto". */
const orNone = <T>({ write, read, ...rest }: Written<T>): Written<T | null> => ({
  ...rest,
  write: v => (v === null ? 'auto' : write(v)),
  read: t => (t === 'auto' ? null : read(t)),
})

const uuid: Written<string> = { write: v => v, read: t => (UUID.test(t) ? t : undefined) }

/** To the minute, UTC. */
const moment: Written<number> = {
  write: v => new Date(v).toISOString().slice(0, 16),
  read: t => {
    const ms = Date.parse(`${t}Z`)
    return Number.isFinite(ms) ? ms : undefined
  },
}
const zone: Written<string> = {
  write: v => v,
  read: t => {
    try {
      return new Intl.DateTimeFormat('en', { timeZone: t }).resolvedOptions().timeZone
    } catch {
      return undefined
    }
  },
}

const { fields } = REQUEST
const water = fields.water.fields
const light = fields.light.fields
const cover = water.cover.fields
const kinds = water.prey.of.words
type Kind = (typeof kinds)[number]
type Shares = readonly { kind: Kind; share: number }[]

/** Shares of food in per cent, because a dot parts the entries of a list. */
const shares: Written<Shares> = {
  write: v => v.map(f => `${f.kind}:${Math.round(f.share * 100)}`).join('.'),
  read: t =>
    t.split('.').flatMap(pair => {
      const [name, share] = pair.split(':')
      const kind = kinds.find(k => k === name)
      const n = Number(share) / 100
      return kind && n > 0 && n <= 1 ? [{ kind, share: n }] : []
    }),
}

const field = <T>(key: string, to: string | null, first: T, written: Written<T>): ReadingField<T> => ({
  key,
  first,
  ...written,
  ...(to ? { to } : {}),
})

type Word<F extends { words: readonly string[] }> = F['words'][number]

/**
 * What a link leaves unsaid: a spring morning on the green farm pond of the demonstration basin; its moment is now.
 */
export const READING = {
  lure: field<Word<typeof fields.lure>>('lure', 'lure', 'shallow-crankbait', word(fields.lure)),
  species: field<Word<typeof fields.species>>('fish', 'species', 'largemouth-bass', word(fields.species)),
  school: field<Word<typeof fields.school>>('school', 'school', 'balanced', word(fields.school)),
  visibilityM: field('vis', 'water.visibilityM', 1.5, number(water.visibilityM, 3)),
  tint: field<Word<typeof water.tint>>('tint', 'water.tint', 'green', word(water.tint)),
  temperatureC: field<number | null>('temp', 'water.temperatureC', 14.5, orNone(number(water.temperatureC, 1))),
  trend: field<Word<typeof water.trend> | null>('trend', 'water.trend', null, orNone(word(water.trend))),
  salinity: field<Word<typeof water.salinity>>('salt', 'water.salinity', 'fresh', word(water.salinity)),
  pressure: field<Word<typeof water.pressure>>('pressure', 'water.pressure', 'normal', word(water.pressure)),
  tide: field<Word<typeof water.tide> | null>('tide', 'water.tide', null, orNone(word(water.tide))),
  prey: field<readonly Kind[]>('lives', 'water.prey', [], words(water.prey)),
  cloud: field('cloud', 'light.cloud', 0.4, number(light.cloud, 2)),
  rain: field('rain', null, false, flag),
  wind: field<Word<typeof light.wind>>('wind', 'light.wind', 'ripple', word(light.wind)),
  canopy: field<Word<typeof light.canopy>>('canopy', 'light.canopy', 'open', word(light.canopy)),
  facing: field<Word<typeof light.facing>>('sun', 'light.facing', 'any', word(light.facing)),
  lamps: field('lamps', 'light.lamps', false, flag),
  /** Moment, ms since 1970 UTC, the place, and the time zone of its clock. */
  timeMs: field('at', null, Date.UTC(2026, 3, 11, 14, 40), moment),
  latitude: field('lat', null, 34.87, number(light.at.fields.latitude, 3)),
  longitude: field('lon', null, -84.3, number(light.at.fields.longitude, 3)),
  zone: field('zone', null, 'America/New_York', zone),
  /** The place is that of the clock's zone: nobody said it. */
  placeGuessed: field('guess', null, false, flag),
  waterId: field<string | null>('water', null, null, orNone(uuid)),
  spotId: field<string | null>('spot', null, null, orNone(uuid)),
  season: field<Word<typeof fields.season> | null>('season', 'season', null, orNone(word(fields.season))),
  forage: field<Shares>('food', 'forage', [], shares),
  clues: field<readonly Word<typeof fields.clues.of>[]>('clues', 'clues', [], words(fields.clues)),
  /** null: deep, or not known. */
  waterM: field<number | null>('bottom', 'water.depthM', null, orNone(number(water.depthM, 3))),
  /** null: the lure's usual depth. */
  depthM: field<number | null>('depth', 'depthM', 1.5, orNone(number(fields.depthM, 3))),
  /** null: not known. */
  cover: field<Word<typeof cover.kind> | null>('cover', 'water.cover.kind', null, orNone(word(cover.kind))),
  density: field<Word<typeof cover.density>>('dense', 'water.cover.density', 'scattered', word(cover.density)),
  /** null: where the top of such cover usually is. */
  topM: field<number | null>('top', 'water.cover.topM', null, orNone(number(cover.topM, 2))),
  background: field<Word<typeof fields.background>>('behind', 'background', 'rock', word(fields.background)),
  fishM: field('range', 'fishM', 0.3, number(fields.fishM, 3)),
  side: field<Side>('side', null, 'level', word({ words: SIDES })),
  fishedThrough: field<readonly Word<typeof fields.fishedThrough.of>[]>(
    'shown',
    'fishedThrough',
    [],
    words(fields.fishedThrough),
  ),
  bitesRefused: field('refused', 'bitesRefused', false, flag),
} as const
export type ReadingKey = keyof typeof READING
export const READING_KEYS = Object.keys(READING) as ReadingKey[]

/**
 * Everything the angler sets on the screen. One flat record: the address, the undo steps and the drafts are copies of
 * it.
 */
export type ScreenReading = { -readonly [K in ReadingKey]: (typeof READING)[K]['first'] }
