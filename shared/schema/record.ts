import type Joi from 'joi'
import { TOPICS } from '#core/words/drills'
import { DAY_REQUEST } from '#core/day/request'
import { MATERIALS } from '#core/paintwork/material'
import { PARTS } from '#core/paintwork/parts'
import {
  type Field,
  type GroupField,
  type ValueOf,
  flag,
  group,
  id,
  list,
  note,
  number,
  orNull,
  pattern,
  required,
  text,
  time,
  whole,
  word,
} from '#core/request/field'
import { READINGS } from '#core/request/readings'
import { REQUEST } from '#core/request/request'
import { SHOWN_FIRST } from '#shared/kept'
import { schemaOf } from '#shared/schema/fields'
import { LIMITS, VOCABULARY } from '#shared/vocabulary'

/*
 * What is kept of each kind of record. A field stands here once, with its name, range and meaning: its type, what Joi
 * checks and what the API's description says of it are made from that.
 */

const finishId = (name: string) =>
  pattern('^[a-z-]+\\.[a-z0-9-]+$', { name, most: 80, otherwise: 'must be a finish by its id.' })
const name = (of: string, most = 80) => text(most, { name: of })
const note500 = () => required(note(500, { name: 'The note' }))
const latitude = () => number(LIMITS.latitude, '°', { name: 'The latitude' })
const longitude = () => number(LIMITS.longitude, '°', { name: 'The longitude' })
const disc = (of: string) => number(LIMITS.visibilityM, ' m', { name: of })
const seed = () => required(whole([0, 2 ** 32], { name: 'The seed' }))
const waterId = () => required(orNull(id({ name: 'The water' })))
/** A rod by its place: of the twelve lanes of a day, or of the three of a trip. */
const lane = () => required(whole([0, 7], { name: 'The rod' }))
const rodNumber = () => required(whole([0, 2], { name: 'The rod' }))
/** Of a day that may go on past midnight. */
const minutes = (of: string) => required(number([0, 2880], ' min', { name: of }))

/** A coat of one's own: a colour as #rrggbb, and what it is made of. */
const COAT = group(
  {
    colour: required(
      pattern('^#[0-9a-f]{6}$', { name: 'The colour', otherwise: 'must be written as # and six hex digits.' }),
    ),
    material: required(word(MATERIALS, { name: 'The material' })),
  },
  { name: 'A coat' },
)
export type OwnCoat = ValueOf<typeof COAT>

/** A rod as it is rigged; line and size in the angler's own words, where they matter. */
const ROD = group(
  {
    lure: required(word(VOCABULARY.lure, { name: 'The lure' })),
    finishId: required(finishId('The finish')),
    line: name('The line', 40),
    size: name('The size', 40),
  },
  { name: 'The rod' },
)
export type Rod = ValueOf<typeof ROD>

/** Changes of a plan that are held by hand. */
const PIN = group(
  {
    lane: lane(),
    fromMin: minutes('The start'),
    atMin: minutes('The change'),
    toMin: minutes('The end'),
    before: required(finishId('The finish before')),
    after: required(finishId('The finish after')),
  },
  { name: 'A held change' },
)
/** A stretch of a planned day with one finish on a rod, minutes of its clock. */
const PLANNED_SPELL = group(
  {
    lane: lane(),
    fromMin: minutes('The start'),
    toMin: minutes('The end'),
    finishId: required(finishId('The finish')),
  },
  { name: 'A spell' },
)
export type PlannedSpell = ValueOf<typeof PLANNED_SPELL>

/** A day's plan that was kept: what was asked, and what it came to then. */
const PLAN = group(
  {
    name: required(name('The name')),
    waterId: waterId(),
    asked: required(DAY_REQUEST),
    pins: list(PIN, 40, { name: 'The held changes' }),
    spells: required(list(PLANNED_SPELL, 200, { name: 'The spells', about: 'what is tied on when, by rod' })),
    pack: required(list(finishId('What is packed'), 40, { name: 'The pack' })),
    share: required(number([0, 100], '', { name: 'The share', about: 'what the pack is worth beside everything' })),
  },
  { name: 'The plan' },
)
export type PlanRecord = ValueOf<typeof PLAN>

/** As new, used, or worn. */
export const WEARS = ['new', 'used', 'worn'] as const
const coats = Object.fromEntries(PARTS.map(p => [p, COAT])) as Record<(typeof PARTS)[number], typeof COAT>
/** A lure in the box: of the catalogue, or with coats of one's own over the catalogue's. */
const LURE = group(
  {
    lure: required(word(VOCABULARY.lure, { name: 'The lure' })),
    finishId: required(finishId('The finish')),
    name: required(name('The name')),
    coats: group(coats, { name: 'The coats' }),
    count: required(whole([0, 999], { name: 'The number of them' })),
    wear: required(word(WEARS, { name: 'The wear' })),
    keptIn: required(note(80, { name: 'Where it is kept' })),
    note: note500(),
    retired: required(flag({ name: 'Whether it is retired', about: 'no longer carried; kept so that it stays whole' })),
  },
  { name: 'The lure' },
)
export type LureRecord = ValueOf<typeof LURE>

/** A water an angler fishes, with its usual look. */
const WATER = group(
  {
    name: required(name('The name')),
    kind: required(note(40, { name: 'The kind', about: "in the angler's words: farm pond, reservoir" })),
    latitude: required(latitude()),
    longitude: required(longitude()),
    zone: required(text(60, { name: 'The time zone', about: 'IANA' })),
    salinity: required(word(VOCABULARY.salinity, { name: 'Salinity' })),
    usualTint: required(word(VOCABULARY.tint, { name: 'The usual tint' })),
    usualVisibilityM: required(disc('The usual clarity')),
    prey: required(REQUEST.fields.water.fields.prey),
    note: note500(),
    archived: required(flag({ name: 'Whether it is archived' })),
  },
  { name: 'The water' },
)
export type WaterRecord = ValueOf<typeof WATER>

const bankFields = DAY_REQUEST.fields.bank.fields
/** How a bank stands: the bearing it looks to, bank and trees above the water here and across, and the width. */
const BANK = group(
  {
    facingDeg: required(number(bankFields.facingDeg.range, '°', { name: 'The bearing it looks to' })),
    heightM: required(number(bankFields.heightM.range, ' m', { name: 'Its height' })),
    acrossHeightM: required(number(bankFields.heightM.range, ' m', { name: 'The height across' })),
    acrossM: required(number(bankFields.acrossM.range, ' m', { name: 'The width of the water' })),
  },
  { name: 'The bank' },
)
export type SpotBank = ValueOf<typeof BANK>

/** A spot on a water. */
const SPOT = group(
  {
    waterId: required(id({ name: 'The water' })),
    name: required(name('The name')),
    latitude: required(orNull(latitude())),
    longitude: required(orNull(longitude())),
    background: required(word(VOCABULARY.background, { name: 'The bottom' })),
    cover: required(note(80, { name: 'The cover', about: "weed, wood, docks, in the angler's words" })),
    stands: orNull({ ...REQUEST.fields.water.fields.cover, about: 'what stands there for the engine' }),
    depthM: required(orNull(number(LIMITS.depthM, ' m', { name: 'The depth' }))),
    canopy: required(word(VOCABULARY.canopy, { name: 'The canopy' })),
    bank: required(orNull(BANK)),
    note: note500(),
    archived: required(flag({ name: 'Whether it is archived' })),
  },
  { name: 'The spot' },
)
export type SpotRecord = ValueOf<typeof SPOT>

/** What may be the one thing that differs between the two of a fair test. */
export const DIFFERENCES = ['finish', 'lure', 'line', 'size'] as const
export type Difference = (typeof DIFFERENCES)[number]
/** What spoils a spell: it was broken off, fished elsewhere, or the sky changed in it. */
export const SPOILS = ['broken', 'moved', 'sky'] as const
export type Spoil = (typeof SPOILS)[number]
/** A fair test of the first two rods: spells of equal casts, their order drawn from the seed beforehand. */
const TRIAL = group(
  {
    castsPerSpell: required(whole([1, 200], { name: 'Casts in a spell' })),
    blocks: required(whole([1, 200], { name: 'The pairs of spells' })),
    seed: seed(),
    differs: required(word(DIFFERENCES, { name: 'What differs' })),
    leaveOut: required(
      list(word(SPOILS, { name: 'What is left out' }), SPOILS.length, {
        name: 'What is left out',
        about: 'set before it starts: spells spoilt in these ways are left out with their pair',
      }),
    ),
  },
  { name: 'The test' },
)
export type TrialPart = ValueOf<typeof TRIAL>

/** A change to come: what a plan ties on a rod at its hour. */
const COMING_CHANGE = group(
  {
    rod: rodNumber(),
    at: required(time({ name: 'The hour of a change' })),
    finishId: required(finishId('What is tied on')),
    held: flag({ name: 'Whether a change is held', about: 'by hand: a plan made anew keeps it' }),
  },
  { name: 'A change to come' },
)
export type ComingChange = ValueOf<typeof COMING_CHANGE>

/** A trip on a water. What happens on it are taps of their own, so that none is ever overwritten. */
const TRIP = group(
  {
    name: required(note(80, { name: 'The name' })),
    waterId: waterId(),
    startedAt: required(time({ name: 'The start' })),
    endedAt: required(orNull(time({ name: 'The end' }))),
    rods: required(list(ROD, 3, { name: 'The rods', least: 1 })),
    asked: required({ ...REQUEST, about: 'the conditions it began in' }),
    trial: required(orNull(TRIAL)),
    note: note500(),
    crew: list(note(40, { name: 'A name aboard' }), 3, {
      name: 'The crew',
      least: 1,
      about: 'who is aboard, by name, each with the rod of the same number at first',
    }),
    castsCounted: flag({ name: 'Whether casts are counted', about: 'then casts not tapped were not made' }),
    changes: list(COMING_CHANGE, 40, { name: 'The changes to come' }),
    planId: orNull(id({ name: 'The plan' })),
    plannedAt: time({ name: 'When it was planned anew' }),
    draw: orNull(
      group(
        {
          seed: seed(),
          everyMin: required(whole([1, 240], { name: 'The minutes between changes' })),
          from: required(time({ name: 'The start of the draw' })),
        },
        { name: 'The draw', about: 'rods are changed by a draw from a seed, every so many minutes' },
      ),
    ),
  },
  { name: 'The trip' },
)
export type TripRecord = ValueOf<typeof TRIP>

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

/** A point on the earth, degrees. */
const PLACE = group({ latitude: required(latitude()), longitude: required(longitude()) }, { name: 'The place' })
export type Place = ValueOf<typeof PLACE>

/** What stood first on the screen, and by which engine. */
const SHOWN = group(
  {
    engine: required(text(20, { name: 'The engine' })),
    first: required(list(finishId('What stood first'), SHOWN_FIRST, { name: 'What stood first' })),
  },
  { name: 'What was shown', about: 'what stood first when it was tied on, and by which engine' },
)

/** How far a list leaned on the angler's log. */
export const LEANED = number([0, 1], '', { name: 'How far the log leaned it', about: '0-1; nothing where it did not' })

/** A call that was kept: what was asked, and which finish of the answer was tied on. */
const CALL = group(
  {
    asked: required({ ...REQUEST, about: 'without what only the answer goes by: limit and units' }),
    tiedOn: required(finishId('The lure tied on')),
    name: required(name('What it is called')),
    keptAt: required(time({ name: 'The time it was kept' })),
    waterId: waterId(),
    rank: required(orNull(whole([1, 200], { name: 'The rank', about: 'its place in the list it was taken from' }))),
    shown: required(SHOWN),
    leaned: LEANED,
  },
  { name: 'The call' },
)
export type CallRecord = ValueOf<typeof CALL>

/** One thing that happened, on one of the rods. */
const TAP = group(
  {
    tripId: required(id({ name: 'The trip' })),
    at: required(time({ name: 'The time' })),
    what: required(word(TAPS, { name: 'What happened' })),
    rod: rodNumber(),
    who: whole([0, 2], { name: 'Who it was', about: 'by the place in the crew; the first where it is not said' }),
    drawn: flag({ name: 'Whether it was drawn', about: 'the rod or rig was drawn by lot, not chosen' }),
    shown: SHOWN,
    species: word(VOCABULARY.species, { name: 'The fish' }),
    lengthM: number([0.02, 3], ' m', { name: 'The length' }),
    kept: flag({ name: 'Whether it was kept', about: 'rather than let go' }),
    clue: word(VOCABULARY.clue, { name: 'The clue' }),
    text: text(500, { name: 'The word' }),
    rig: ROD,
    asked: REQUEST,
    depthM: number(LIMITS.depthM, ' m', { name: 'The depth' }),
    spotId: orNull(id({ name: 'The spot', about: 'where it is fished from then on; null: nowhere that has a name' })),
    spoil: word(SPOILS, { name: 'What spoilt it' }),
    place: { ...PLACE, about: 'where the boat or the device was, if the angler lets that be kept' },
  },
  { name: 'The tap' },
)
export type TapRecord = ValueOf<typeof TAP>

/** A question of the bench's drills as it was answered. */
const ANSWER = group(
  {
    topic: required(word(TOPICS, { name: 'The topic' })),
    seed: seed(),
    level: required(number([0, 1], '', { name: 'The level' })),
    at: required(time({ name: 'The time' })),
    right: required(flag({ name: 'Whether it was right' })),
  },
  { name: 'The answer' },
)
export type AnswerRecord = ValueOf<typeof ANSWER>

/** The water as it was read at a moment, by whatever readings were taken. */
const READING = group(
  {
    waterId: waterId(),
    at: required(time({ name: 'The time' })),
    readings: required({ ...READINGS, least: 0 }),
    visibilityM: required(
      group(
        {
          best: required(disc('The clarity')),
          low: required(disc('The least clarity')),
          high: required(disc('The most clarity')),
        },
        { name: 'The clarity', about: 'depth of a white disc: best, and nine times in ten between' },
      ),
    ),
    tint: required(word(VOCABULARY.tint, { name: 'The tint' })),
    temperatureC: required(orNull(number(LIMITS.temperatureC, ' °C', { name: 'The temperature' }))),
    note: note500(),
  },
  { name: 'The reading' },
)
export type ReadingRecord = ValueOf<typeof READING>

/** Every kind of record by its fields. */
export const RECORD_FIELDS = {
  call: CALL,
  plan: PLAN,
  lure: LURE,
  water: WATER,
  spot: SPOT,
  trip: TRIP,
  tap: TAP,
  answer: ANSWER,
  reading: READING,
} as const satisfies Record<string, GroupField<Record<string, Field>>>
export type RecordKind = keyof typeof RECORD_FIELDS
export type RecordOf = { [Kind in RecordKind]: ValueOf<(typeof RECORD_FIELDS)[Kind]> }
export const RECORD_KINDS = Object.keys(RECORD_FIELDS) as RecordKind[]

/** What a record of each kind is checked by. */
export const RECORDS = Object.fromEntries(RECORD_KINDS.map(kind => [kind, schemaOf(RECORD_FIELDS[kind])])) as {
  [Kind in RecordKind]: Joi.ObjectSchema<RecordOf[Kind]>
}
