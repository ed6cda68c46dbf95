import { atTime } from '~/reading/reading'
import { keptText } from '#shared/text'
import type { TapRecord, TripRecord } from '#shared/schema/record'

/** What a trip known only from a file is taken for: the rods at hand, and the conditions as they are in Water. */
export type TripLike = Omit<TripRecord, 'startedAt' | 'endedAt' | 'name'>

/** A trip from a file, by its name and the moments it lasted from and to. */
export function importedTrip(like: TripLike, name: string, fromMs: number, toMs: number): TripRecord {
  return {
    ...like,
    asked: atTime(like.asked, fromMs),
    name: keptText(name, 80),
    startedAt: new Date(fromMs).toISOString(),
    endedAt: new Date(toMs).toISOString(),
  }
}

/** Taps without an id that are alike in this are the same. */
export const likenessOf = (b: TapRecord): string => `${b.tripId} ${b.at} ${b.what} ${b.who ?? 0} ${b.text ?? ''}`
