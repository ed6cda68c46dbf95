import Joi from 'joi'
import type { DayHour } from '#core/day/request'

/** What a forecast is asked for, as the address tells it. */
export interface ForecastQuery {
  date: string
  utcOffsetMin: string
}
/** `GET /api/v1/forecast`. */
export const forecastQuery = Joi.object<ForecastQuery>({
  date: Joi.string()
    .pattern(/^\d{4}-\d\d-\d\d$/)
    .label('The date')
    .messages({ 'string.pattern.base': 'The date must be a day like 2026-05-10.' })
    .required(),
  utcOffsetMin: Joi.string()
    .pattern(/^-?\d{1,3}$/)
    .label("The clock's offset")
    .messages({ 'string.pattern.base': "The clock's offset must be whole minutes, like -240." })
    .required(),
})
  .label('The address')
  .messages({ 'object.unknown': 'The address holds something Piscator does not know. Take it out.' })

export interface ForecastOut {
  /** Whether the station is made up, as the one that ships with Piscator is. */
  simulated: boolean
  /** Hours of the day that the station tells of, on the clock of the place; there may be holes. */
  hours: DayHour[]
  /** The tide about its mean, m, by the half hour. */
  tide: { atMin: number; heightM: number }[]
}
