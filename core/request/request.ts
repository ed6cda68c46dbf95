import { COVER_IDS, DENSITIES } from '#core/cover/cover'
import { SPECIES, type SpeciesId } from '#core/eye/species'
import { LURE_IDS } from '#core/lure/types'
import { FAMILIES } from '#core/paintwork/families'
import { FORAGE_KINDS } from '#core/prey/forage'
import { CLUES, type Clue } from '#core/prey/odds'
import { type ValueOf, flag, group, list, number, required, time, whole, word } from '#core/request/field'
import { SEASONS } from '#core/season/phase'
import { BACKGROUNDS, type BackgroundId } from '#core/sight/backgrounds'
import { SUN_FACINGS } from '#core/sight/scene'
import { CANOPIES, type Canopy, SKIES, type SkyKind, WINDS, type Wind } from '#core/sky/weather'
import { UNIT_SYSTEMS } from '#core/units'
import { TINTS, type TintId } from '#core/water/tints'
import { SCHOOL_IDS } from '#core/words/schools'

const keys = <K extends string>(records: Readonly<Record<K, unknown>>) => Object.keys(records) as K[]
const SHARE = [0, 1] as const
export const TIDES = ['slack', 'rising', 'falling'] as const
export type Tide = (typeof TIDES)[number]

/**
 * What an angler tells Piscator: the contract's request, field by field. Whatever checks, describes, words or carries
 * a request reads these records.
 */
export const REQUEST = group(
  {
    lure: required(word(LURE_IDS, { name: 'The lure' })),
    species: word(keys<SpeciesId>(SPECIES), { name: 'The fish', about: 'largemouth-bass when absent' }),
    school: word(['balanced', ...SCHOOL_IDS], { name: 'The school', about: 'balanced when absent' }),
    water: required(
      group(
        {
          visibilityM: required(
            number([0.05, 30], ' m', {
              name: 'Visibility',
              about: 'depth at which a white 20 cm disc vanishes, metres',
            }),
          ),
          tint: required(word(keys<TintId>(TINTS), { name: "The water's tint" })),
          temperatureC: number([-1, 40], ' °C', { name: 'Water temperature', about: 'surface, °C' }),
          trend: word(['rising', 'steady', 'falling'], {
            name: 'The temperature trend',
            about: 'temperature over the last days',
          }),
          salinity: word(['fresh', 'brackish', 'salt'], { name: 'Salinity', about: 'fresh when absent' }),
          pressure: word(['low', 'normal', 'high'], { name: 'Fishing pressure', about: 'normal when absent' }),
          tide: word(TIDES, { name: 'The tide', about: 'stage of the tide and with it the current, in tidal water' }),
          depthM: number([0.2, 100], ' m', {
            name: 'The depth of the water',
            about: 'metres where the lure is fished; deep when absent',
          }),
          cover: group(
            {
              kind: required(word(COVER_IDS, { name: 'The cover' })),
              density: word(DENSITIES, { name: 'How dense the cover is', about: 'scattered when absent' }),
              topM: number([0, 100], ' m', {
                name: 'The top of the cover',
                about: 'metres down to the top of it; by kind and depth of the water when absent',
              }),
            },
            { name: 'The cover', about: 'what stands in the water, apart from what is behind the lure' },
          ),
          prey: list(word(FORAGE_KINDS, { name: 'The prey list' }), FORAGE_KINDS.length, {
            name: 'The prey list',
            about: 'prey known to live in this water; others are left out of the odds',
          }),
        },
        { name: 'The water' },
      ),
    ),
    light: required(
      group(
        {
          sky: required(word(keys<SkyKind>(SKIES), { name: 'The sky' })),
          cloud: number(SHARE, '', { name: 'Cloud', about: 'cover, 0-1, where known better than the word' }),
          sunElevationDeg: number([-90, 90], '°', { name: "The sun's height", about: 'degrees above the horizon' }),
          at: group(
            {
              time: required(time({ name: 'The time' })),
              latitude: required(number([-90, 90], '°', { name: 'Latitude' })),
              longitude: required(number([-180, 180], '°', { name: 'Longitude' })),
            },
            { name: 'Time and place' },
          ),
          wind: word(keys<Wind>(WINDS), { name: 'The wind', about: 'calm when absent' }),
          canopy: word(keys<Canopy>(CANOPIES), { name: 'The canopy', about: 'open when absent' }),
          facing: word(SUN_FACINGS, {
            name: 'Where the sun is',
            about: 'of the angler: any when absent; sun-in-face means that a following fish looks away from the sun',
          }),
          moon: number(SHARE, '', { name: 'The moon', about: 'lit share, night only' }),
          lamps: flag({ name: 'Lamps', about: 'night only' }),
        },
        { name: 'The light' },
        {
          fields: ['sunElevationDeg', 'at'],
          otherwise: "needs the sun's height, or a time and place to work it out from.",
        },
      ),
    ),
    season: word(SEASONS, { name: 'The season', about: 'inferred when absent' }),
    forage: list(
      group(
        {
          kind: required(word(FORAGE_KINDS, { name: 'The food list' })),
          share: required(number(SHARE, '', { name: 'The food list' })),
        },
        { name: 'The food list' },
      ),
      FORAGE_KINDS.length,
      { name: 'The food list', about: 'inferred when empty or absent' },
      'kind',
    ),
    clues: list(word(keys<Clue>(CLUES), { name: 'The clues' }), keys(CLUES).length, { name: 'The clues' }),
    depthM: number([0, 60], ' m', {
      name: 'Running depth',
      about: 'running depth, metres; by lure when absent',
      notOver: {
        field: 'water.depthM',
        otherwise:
          'The lure cannot run deeper than the water is. Raise the running depth, or correct the depth of the water.',
      },
    }),
    background: word(keys<BackgroundId>(BACKGROUNDS), { name: 'The background', about: 'open when absent' }),
    fishM: number([0.1, 30], ' m', { name: "The fish's distance", about: 'how far off the fish is, metres' }),
    fishedThrough: list(word(FAMILIES, { name: 'The colours already shown' }), FAMILIES.length, {
      name: 'The colours already shown',
    }),
    bitesRefused: flag({ name: 'Refused bites', about: 'natural offers were refused' }),
    limit: whole([1, 60], { name: 'The number of picks', about: '10 when absent' }),
    units: word(UNIT_SYSTEMS, {
      name: 'Units',
      about: 'units of the sentences in the answer; every number stays metric',
    }),
  },
  { name: 'The request' },
)

/** A request after validation. Units in the names. */
export type Request = ValueOf<typeof REQUEST>
export type Salinity = NonNullable<Request['water']['salinity']>
export type Pressure = NonNullable<Request['water']['pressure']>
