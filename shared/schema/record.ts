import Joi from 'joi'
import { type DrillTopic, TOPICS } from '#core/words/drills'
import type { Pin } from '#core/day/pins'
import { DAY_REQUEST, type DayRequest } from '#core/day/request'
import { MATERIALS } from '#core/paintwork/material'
import { PARTS } from '#core/paintwork/parts'
import { READINGS, type Reading } from '#core/request/readings'
import { REQUEST, type Request } from '#core/request/request'
import { momentSchema, schemaOf, uuidSchema } from '#shared/schema/fields'
import { LIMITS, VOCABULARY } from '#shared/vocabulary'

const line = (name: string, most = 80) => Joi.string().max(most).label(name)
const note = () => line('The note', 500).allow('')
const finishId = (name: string) =>
  line(name)
    .pattern(/^[a-z-]+\.[a-z0-9-]+$/)
    .messages({ 'string.pattern.base': `${name} must be a finish by its id.` })
const record = <T>(name: string, fields: Joi.SchemaMap) =>
  Joi.object<T>(fields)
    .label(name)
    .messages({ 'object.unknown': `${name} holds a field Piscator does not know. Take it out or check its spelling.` })

/** A stretch of a planned day with one finish on a rod, minutes of its clock. */
export interface PlannedSpell {
  lane: number
  fromMin: number
  toMin: number
  finishId: string
}

/** A day's plan that was kept: what was asked, and what it came to then. */
export interface PlanRecord {
  name: string
  waterId: string | null
  asked: DayRequest
  /** Changes held by hand. */
  pins?: readonly Pin[]
  /** What is tied on when, by rod; plans from before it was kept have none. */
  spells?: PlannedSpell[]
  /** What was packed, by finish. */
  pack: string[]
  /** Of 100: what the pack is worth beside everything. */
  share: number
}

/** A coat of one's own: a colour as #rrggbb, and what it is made of. */
export interface OwnCoat {
  colour: string
  material: (typeof MATERIALS)[number]
}

/** A lure in the box: of the catalogue, or with coats of one's own over the catalogue's. */
export interface LureRecord {
  lure: (typeof VOCABULARY.lure)[number]
  finishId: string
  name: string
  coats?: Partial<Record<(typeof PARTS)[number], OwnCoat>>
  count: number
  /** As new, used, or worn. */
  wear: (typeof WEARS)[number]
  keptIn: string
  note: string
  /** No longer carried; kept so that the record stays whole. */
  retired: boolean
}
export const WEARS = ['new', 'used', 'worn'] as const

type Word<K extends keyof typeof VOCABULARY> = (typeof VOCABULARY)[K][number]

/** A water an angler fishes, with its usual look. */
export interface WaterRecord {
  name: string
  /** In the angler's words: farm pond, reservoir. */
  kind: string
  latitude: number
  longitude: number
  /** IANA time zone of the place. */
  zone: string
  salinity: Word<'salinity'>
  usualTint: Word<'tint'>
  usualVisibilityM: number
  /** What lives there. */
  prey: readonly Word<'forage'>[]
  note: string
  /** No longer listed; kept so that what was read there stays whole. */
  archived: boolean
}

/** How a bank stands: the bearing it looks to, bank and trees above the water here and across, and the width. */
export interface SpotBank {
  facingDeg: number
  heightM: number
  acrossHeightM: number
  acrossM: number
}

/** A spot on a water. */
export interface SpotRecord {
  waterId: string
  name: string
  latitude: number | null
  longitude: number | null
  /** What is behind the lure, or the bottom. */
  background: Word<'background'>
  /** Weed, wood, docks, in the angler's words. */
  cover: string
  /** What stands there for the engine; null where it is not said. Spots from before it was kept have none. */
  stands?: NonNullable<Request['water']['cover']> | null
  /** null: deep, or not known. */
  depthM: number | null
  canopy: Word<'canopy'>
  bank: SpotBank | null
  note: string
  archived: boolean
}

/** The water as it was read at a moment, by whatever readings were taken. */
export interface ReadingRecord {
  waterId: string | null
  at: string
  readings: Reading[]
  /** Depth of a white disc: best, and nine times in ten between. */
  visibilityM: { best: number; low: number; high: number }
  tint: Word<'tint'>
  temperatureC: number | null
  note: string
}

/** A question of the bench's drills as it was answered. */
export interface AnswerRecord {
  topic: DrillTopic
  seed: number
  level: number
  at: string
  right: boolean
}

/** A rod as it is rigged; line and size in the angler's own words, where they matter. */
export interface Rod {
  lure: Word<'lure'>
  finishId: string
  line?: string
  size?: string
}
/** What may be the one thing that differs between the two of a fair test. */
export const DIFFERENCES = ['finish', 'lure', 'line', 'size'] as const
export type Difference = (typeof DIFFERENCES)[number]
/** What spoils a spell: it was broken off, fished elsewhere, or the sky changed in it. */
export const SPOILS = ['broken', 'moved', 'sky'] as const
export type Spoil = (typeof SPOILS)[number]
/** A fair test of the first two rods: spells of equal casts, their order drawn from the seed beforehand. */
export interface TrialPart {
  differs: Difference
  castsPerSpell: number
  blocks: number
  seed: number
  /** Set before it starts: spells spoilt in these ways are left out with their pair. */
  leaveOut: readonly Spoil[]
}
/** A change to come: what a plan ties on a rod at its hour. */
export interface ComingChange {
  rod: number
  at: string
  finishId: string
  /** Held by hand: a plan made anew keeps it. */
  held?: boolean
}
/** A trip on a water. What happens on it are taps of their own, so that none is ever overwritten. */
export interface TripRecord {
  name: string
  waterId: string | null
  startedAt: string
  endedAt: string | null
  rods: Rod[]
  /** The conditions it began in, as a request. */
  asked: Request
  trial: TrialPart | null
  note: string
  /** Who is aboard, by name, each with the rod of the same number at first; one without a name where it is not said. */
  crew?: string[]
  /** Every cast is tapped: casts not tapped were not made. */
  castsCounted?: boolean
  /** What its plan says is still to be tied on. */
  changes?: ComingChange[]
  /** The plan it was rigged by. */
  planId?: string | null
  /** When its changes to come were planned anew. */
  plannedAt?: string
  /** Rods are changed by a draw from a seed, every so many minutes from a moment on. */
  draw?: { seed: number; everyMin: number; from: string } | null
}
export const TAPS = [
  'cast',
  'bite',
  'follow',
  'miss',
  'landed',
  'rod',
  'rig',
  'depth',
  'spot',
  'broken',
  'clue',
  'word',
  'conditions',
  'pause',
  'resume',
] as const
export type TapKind = (typeof TAPS)[number]
/** One thing that happened, on one of the rods. */
export interface TapRecord {
  tripId: string
  at: string
  what: TapKind
  rod: number
  /** Whose it was, by the place in the crew; the first's where it is not said. */
  who?: number
  /** The rod or rig was drawn by lot, not chosen. */
  drawn?: boolean
  /** What stood first when it was rigged, and by which engine. */
  shown?: { engine: string; first: string[] }
  species?: Word<'species'>
  lengthM?: number
  /** Kept rather than let go. */
  kept?: boolean
  clue?: Word<'clue'>
  text?: string
  rig?: Rod
  asked?: Request
  depthM?: number
  /** Where it is fished from then on; null: nowhere that has a name. */
  spotId?: string | null
  spoil?: Spoil
  /** Where the boat or the device was, if the angler lets that be kept. */
  place?: Place
}
/** A point on the earth, degrees. */
export interface Place {
  latitude: number
  longitude: number
}

const coat = record<OwnCoat>('A coat', {
  colour: Joi.string()
    .pattern(/^#[0-9a-f]{6}$/)
    .label('The colour')
    .messages({ 'string.pattern.base': 'The colour must be written as # and six hex digits.' })
    .required(),
  material: Joi.string()
    .valid(...MATERIALS)
    .label('The material')
    .required(),
})

const number = (name: string, [least, most]: readonly [number, number]) =>
  Joi.number().strict().min(least).max(most).label(name)
const whole = (name: string, [least, most]: readonly [number, number]) =>
  Joi.number().strict().integer().min(least).max(most).label(name)
/** Of a day that may go on past midnight. */
const minutes = (name: string) => number(name, [0, 2880])
const word = (name: string, words: readonly string[]) =>
  Joi.string()
    .valid(...words)
    .label(name)
const yesNo = (name: string) => Joi.boolean().strict().label(name)
const latitude = () => number('The latitude', LIMITS.latitude)
const longitude = () => number('The longitude', LIMITS.longitude)
const rod = record<Rod>('The rod', {
  lure: word('The lure', VOCABULARY.lure).required(),
  finishId: finishId('The finish').required(),
  line: line('The line', 40),
  size: line('The size', 40),
})
const disc = (name: string) => number(name, LIMITS.visibilityM)
/** Bearing, heights and width of a bank, by the day's own limits. */
const bankFields = DAY_REQUEST.fields.bank.fields
const bank = record<SpotBank>('The bank', {
  facingDeg: number('The bearing it looks to', bankFields.facingDeg.range).required(),
  heightM: number('Its height', bankFields.heightM.range).required(),
  acrossHeightM: number('The height across', bankFields.heightM.range).required(),
  acrossM: number('The width of the water', bankFields.acrossM.range).required(),
})

/** What is kept of each kind of record. */
export const RECORDS = {
  plan: record<PlanRecord>('The plan', {
    name: line('The name').required(),
    waterId: uuidSchema('The water').allow(null).required(),
    asked: schemaOf(DAY_REQUEST).required(),
    pins: Joi.array()
      .items(
        record<Pin>('A held change', {
          lane: whole('The rod', [0, 7]).required(),
          fromMin: minutes('The start').required(),
          atMin: minutes('The change').required(),
          toMin: minutes('The end').required(),
          before: finishId('The finish before').required(),
          after: finishId('The finish after').required(),
        }),
      )
      .max(40)
      .label('The held changes'),
    spells: Joi.array()
      .items(
        record<PlannedSpell>('A spell', {
          lane: whole('The rod', [0, 7]).required(),
          fromMin: minutes('The start').required(),
          toMin: minutes('The end').required(),
          finishId: finishId('The finish').required(),
        }),
      )
      .max(200)
      .label('The spells'),
    pack: Joi.array().items(finishId('What is packed')).max(40).label('The pack').required(),
    share: Joi.number().strict().min(0).max(100).label('The share').required(),
  }),
  lure: record<LureRecord>('The lure', {
    lure: Joi.string()
      .valid(...VOCABULARY.lure)
      .label('The lure')
      .required(),
    finishId: finishId('The finish').required(),
    name: line('The name').required(),
    coats: Joi.object(Object.fromEntries(PARTS.map(p => [p, coat]))).label('The coats'),
    count: Joi.number().strict().integer().min(0).max(999).label('The number of them').required(),
    wear: Joi.string()
      .valid(...WEARS)
      .label('The wear')
      .required(),
    keptIn: line('Where it is kept').allow('').required(),
    note: note().required(),
    retired: yesNo('Whether it is retired').required(),
  }),
  water: record<WaterRecord>('The water', {
    name: line('The name').required(),
    kind: line('The kind', 40).allow('').required(),
    latitude: latitude().required(),
    longitude: longitude().required(),
    zone: line('The time zone', 60).required(),
    salinity: word('Salinity', VOCABULARY.salinity).required(),
    usualTint: word('The usual tint', VOCABULARY.tint).required(),
    usualVisibilityM: disc('The usual clarity').required(),
    prey: schemaOf(REQUEST.fields.water.fields.prey).required(),
    note: note().required(),
    archived: yesNo('Whether it is archived').required(),
  }),
  spot: record<SpotRecord>('The spot', {
    waterId: uuidSchema('The water').required(),
    name: line('The name').required(),
    latitude: latitude().allow(null).required(),
    longitude: longitude().allow(null).required(),
    background: word('The bottom', VOCABULARY.background).required(),
    cover: line('The cover').allow('').required(),
    stands: schemaOf(REQUEST.fields.water.fields.cover).allow(null),
    depthM: number('The depth', LIMITS.depthM).allow(null).required(),
    canopy: word('The canopy', VOCABULARY.canopy).required(),
    bank: bank.allow(null).required(),
    note: note().required(),
    archived: yesNo('Whether it is archived').required(),
  }),
  trip: record<TripRecord>('The trip', {
    name: line('The name').allow('').required(),
    waterId: uuidSchema('The water').allow(null).required(),
    startedAt: momentSchema('The start').required(),
    endedAt: momentSchema('The end').allow(null).required(),
    rods: Joi.array().items(rod).min(1).max(3).label('The rods').required(),
    asked: schemaOf(REQUEST).required(),
    trial: record<TrialPart>('The test', {
      castsPerSpell: whole('Casts in a spell', [1, 200]).required(),
      blocks: whole('The pairs of spells', [1, 200]).required(),
      seed: whole('The seed', [0, 2 ** 32]).required(),
      differs: word('What differs', DIFFERENCES).required(),
      leaveOut: Joi.array().items(word('What is left out', SPOILS)).unique().label('What is left out').required(),
    })
      .allow(null)
      .required(),
    note: note().required(),
    crew: Joi.array().items(line('A name aboard', 40).allow('')).min(1).max(3).label('The crew'),
    castsCounted: yesNo('Whether casts are counted'),
    changes: Joi.array()
      .items(
        record<ComingChange>('A change to come', {
          rod: whole('The rod', [0, 2]).required(),
          at: momentSchema('The hour of a change').required(),
          finishId: finishId('What is tied on').required(),
          held: yesNo('Whether a change is held'),
        }),
      )
      .max(40)
      .label('The changes to come'),
    planId: uuidSchema('The plan').allow(null),
    plannedAt: momentSchema('When it was planned anew'),
    draw: record<NonNullable<TripRecord['draw']>>('The draw', {
      seed: whole('The seed', [0, 2 ** 32]).required(),
      everyMin: whole('The minutes between changes', [1, 240]).required(),
      from: momentSchema('The start of the draw').required(),
    }).allow(null),
  }),
  tap: record<TapRecord>('The tap', {
    tripId: uuidSchema('The trip').required(),
    at: momentSchema('The time').required(),
    what: word('What happened', TAPS).required(),
    rod: whole('The rod', [0, 2]).required(),
    who: whole('Who it was', [0, 2]),
    drawn: yesNo('Whether it was drawn'),
    shown: record<NonNullable<TapRecord['shown']>>('What was shown', {
      engine: line('The engine', 20).required(),
      first: Joi.array().items(finishId('What stood first')).max(3).label('What stood first').required(),
    }),
    species: word('The fish', VOCABULARY.species),
    lengthM: number('The length', [0.02, 3]),
    kept: yesNo('Whether it was kept'),
    clue: word('The clue', VOCABULARY.clue),
    text: line('The word', 500),
    rig: rod,
    asked: schemaOf(REQUEST),
    depthM: number('The depth', LIMITS.depthM),
    spotId: uuidSchema('The spot').allow(null),
    spoil: word('What spoilt it', SPOILS),
    place: record<Place>('The place', { latitude: latitude().required(), longitude: longitude().required() }),
  }),
  answer: record<AnswerRecord>('The answer', {
    topic: word('The topic', TOPICS).required(),
    seed: Joi.number()
      .strict()
      .integer()
      .min(0)
      .max(2 ** 32)
      .label('The seed')
      .required(),
    level: number('The level', [0, 1]).required(),
    at: momentSchema('The time').required(),
    right: yesNo('Whether it was right').required(),
  }),
  reading: record<ReadingRecord>('The reading', {
    waterId: uuidSchema('The water').allow(null).required(),
    at: momentSchema('The time').required(),
    readings: schemaOf({ ...READINGS, least: 0 }).required(),
    visibilityM: record('The clarity', {
      best: disc('The clarity').required(),
      low: disc('The least clarity').required(),
      high: disc('The most clarity').required(),
    }).required(),
    tint: word('The tint', VOCABULARY.tint).required(),
    temperatureC: number('The temperature', LIMITS.temperatureC).allow(null).required(),
    note: note().required(),
  }),
} as const

export type RecordKind = keyof typeof RECORDS
export interface RecordOf {
  plan: PlanRecord
  lure: LureRecord
  water: WaterRecord
  spot: SpotRecord
  reading: ReadingRecord
  answer: AnswerRecord
  trip: TripRecord
  tap: TapRecord
}
export const RECORD_KINDS = Object.keys(RECORDS) as RecordKind[]
