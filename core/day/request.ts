import { finishIds } from '#core/lure/finish'
import { LURE_IDS } from '#core/lure/types'
import { type ValueOf, flag, group, list, number, pattern, required, whole, word } from '#core/request/field'
import { REQUEST, TIDES } from '#core/request/request'
import { WINDS, type Wind } from '#core/sky/weather'

const { species, school, water, background, season, forage, clues, fishM, units } = REQUEST.fields
const CLOCK = '^([01][0-9]|2[0-3]):[0-5][0-9]$|^24:00$'
const clock = (name: string, about: string) =>
  pattern(CLOCK, { name, about, otherwise: 'must be hours and minutes on the clock of the place, like 06:30.' })
const { temperatureC, visibilityM } = water.fields
const { required: _, ...visibility } = visibilityM

/** Where the lure is fished when the bank's shade is on the water. */
export const LANE_PLACES = ['open', 'shade'] as const
export type LanePlace = (typeof LANE_PLACES)[number]

/** What is asked of a day: the contract's request for a plan, field by field. */
export const DAY_REQUEST = group(
  {
    date: required(
      pattern('^[0-9]{4}-[0-9]{2}-[0-9]{2}$', { name: 'The date', otherwise: 'must be a day like 2026-05-10.' }),
    ),
    place: required(
      group(
        {
          latitude: required(number([-90, 90], '°', { name: 'Latitude' })),
          longitude: required(number([-180, 180], '°', { name: 'Longitude' })),
          utcOffsetMin: required(
            number([-840, 840], ' minutes', {
              name: "The clock's offset",
              about: 'minutes the clock of the place is ahead of UTC',
            }),
          ),
        },
        { name: 'The place' },
      ),
    ),
    from: clock('The start', 'first light when absent'),
    to: clock('The end', 'an hour after last light when absent; where it is not after the start, of the next day'),
    species,
    school,
    water,
    background,
    season,
    forage,
    clues,
    fishM,
    units,
    hours: list(
      group(
        {
          at: required(clock('The hour', 'on the clock of the place')),
          cloud: number([0, 1], '', { name: 'Cloud', about: 'cover, 0-1' }),
          rain: flag({ name: 'Rain' }),
          wind: word(Object.keys(WINDS) as Wind[], { name: 'The wind' }),
          temperatureC,
          visibilityM: visibility,
          lightning: flag({ name: 'Lightning', about: 'ashore: the hour earns nothing' }),
          tide: word(TIDES, { name: 'The tide' }),
        },
        { name: 'An hour of the forecast' },
      ),
      48,
      {
        name: 'The forecast',
        about: 'figures are interpolated between hours that tell them and held outside; words hold until the next',
      },
      'at',
    ),
    bank: group(
      {
        facingDeg: required(
          number([0, 360], '°', {
            name: 'The way the bank looks',
            about: 'bearing over the water, clockwise from north',
          }),
        ),
        heightM: required(number([0, 200], ' m', { name: 'The height of bank and trees' })),
        acrossM: required(number([0.5, 5000], ' m', { name: 'The width of the water' })),
      },
      { name: 'The bank' },
    ),
    lures: required(
      list(
        group(
          {
            lure: required(word(LURE_IDS, { name: 'The lure' })),
            finishIds: list(word(finishIds(), { name: 'The finishes', open: true }), 200, {
              name: 'The finishes',
              about: 'the whole catalogue of the lure when absent',
              least: 1,
            }),
            depthM: number([0, 60], ' m', {
              name: 'Running depth',
              about: 'metres; by lure when absent',
              notOver: {
                field: '....water.depthM',
                otherwise: REQUEST.fields.depthM.notOver!.otherwise,
              },
            }),
            place: word(LANE_PLACES, {
              name: 'The place',
              about: 'open when absent; shade: under the bank while its shade is on the water',
            }),
          },
          { name: 'A lure' },
        ),
        8,
        { name: 'The lures', least: 1 },
      ),
    ),
    changeCost: number([0, 10], '', { name: 'The cost of a change', about: 'score × hours; 0.08 when absent' }),
    minSpellMin: number([0, 1440], ' minutes', { name: 'The shortest spell', about: 'minutes; 45 when absent' }),
    packMost: whole([1, 40], { name: 'The most lures to pack', about: '6 when absent' }),
    stepMin: whole([5, 120], { name: 'The step', about: 'minutes; 30 when absent' }),
    detail: flag({ name: 'Detail', about: 'every score of every step' }),
  },
  { name: 'The request' },
)

export type DayRequest = ValueOf<typeof DAY_REQUEST>
export type DayHour = NonNullable<DayRequest['hours']>[number]
export type DayLane = DayRequest['lures'][number]
export type Bank = NonNullable<DayRequest['bank']>
