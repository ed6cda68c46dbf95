import { beginningOf, readForecast } from '#server/services/forecast'
import { StationAwayError } from '#server/services/station'
import { forecastQuery } from '#shared/schema/forecast'

/** The day's weather and tide from the station: 200 with what it tells, 422 with faults, 503 where it is away. */
export default defineEventHandler(async event => {
  const midnight = beginningOf(validated(forecastQuery, getQuery(event)))
  if (!Number.isFinite(midnight)) {
    throw faultError(422, [{ path: 'date', code: 'date', message: 'The date is not in the calendar.' }])
  }
  const { stationUrl, stationSimulated } = useRuntimeConfig(event)
  try {
    if (!stationUrl) throw new StationAwayError('no station is set')
    return await readForecast(stationUrl, midnight, Boolean(stationSimulated))
  } catch (error) {
    if (!(error instanceof StationAwayError)) throw error
    setResponseHeader(event, 'retry-after', 30)
    throw faultError(503, [{ path: '', code: 'station', message: 'The forecast station does not answer just now.' }])
  }
})
