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
/** Degrees between the places looked up; where people fish by this clock is somewhere within hundreds of miles. */
const GRID_DEG = 2

/**
 * A place in the middle of a time zone, to a few degrees: a guess where the clock is all that is known. null where
 * the map of zones has none of that name.
 */
export async function placeIn(zone: string): Promise<{ latitude: number; longitude: number } | null> {
  const { default: lookUp } = await import('tz-lookup')
  const wanted = canonical(zone)
  const names = new Map<string, boolean>()
  const isIt = (name: string) => {
    let same = names.get(name)
    // Etc is the open sea.
    if (same === undefined) names.set(name, (same = !name.startsWith('Etc/') && canonical(name) === wanted))
    return same
  }
  const found: { latitude: number; longitude: number }[] = []
  for (let latitude = -60; latitude <= 70; latitude += GRID_DEG)
    for (let longitude = -180; longitude < 180; longitude += GRID_DEG)
      if (isIt(lookUp(latitude, longitude))) found.push({ latitude, longitude })
  const middle = (of: 'latitude' | 'longitude') => found.map(p => p[of]).sort((a, b) => a - b)[found.length >> 1]!
  return found.length ? { latitude: middle('latitude'), longitude: middle('longitude') } : null
}
