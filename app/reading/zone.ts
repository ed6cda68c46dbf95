/**
 * Time zone of a place by its latitude and longitude, IANA name. The map of zones comes when it is first needed: most
 * visits never type a place.
 */
export async function zoneAt(latitude: number, longitude: number): Promise<string> {
  const { default: lookUp } = await import('tz-lookup')
  return lookUp(latitude, longitude)
}

/** The zone of this device's clock. */
export const zoneHere = (): string => new Intl.DateTimeFormat().resolvedOptions().timeZone

const canonical = (zone: string): string => new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone

/**
 * A place in the middle of a time zone, to a few degrees: a guess where the clock is all that is known. null where
 * the map of zones has none of that name.
 */
export async function placeIn(zone: string): Promise<{ latitude: number; longitude: number } | null> {
  const { default: places } = await import('./zonePlaces.json')
  const known = places as unknown as Record<string, [latitude: number, longitude: number]>
  const wanted = canonical(zone)
  if (/^(UTC|GMT|Etc\/.*)$/.test(wanted)) return null
  // Browsers call some zones by older names.
  const called = [zone, wanted].find(n => Object.hasOwn(known, n))
  const name = called ?? Object.keys(known).find(n => canonical(n) === wanted)
  if (!name) return null
  const [latitude, longitude] = known[name]!
  return { latitude, longitude }
}
