import { writeFileSync } from 'node:fs'
import lookUp from 'tz-lookup'

/**
 * `tsx tools/zonePlaces.ts` writes app/reading/zonePlaces.json: for each time zone of the map, a place in its middle by
 * latitude and longitude, on a grid of two degrees. Zones of one clock share the middle of them all.
 */
const GRID_DEG = 2
const canonical = (zone: string): string => new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone

const names = new Map<string, string>()
const found = new Map<string, { latitude: number; longitude: number }[]>()
for (let latitude = -60; latitude <= 70; latitude += GRID_DEG)
  for (let longitude = -180; longitude < 180; longitude += GRID_DEG) {
    const name = lookUp(latitude, longitude)
    // Etc is the open sea.
    if (name.startsWith('Etc/')) continue
    const zone = names.get(name) ?? canonical(name)
    names.set(name, zone)
    found.set(zone, [...(found.get(zone) ?? []), { latitude, longitude }])
  }
const middle = (zone: string, of: 'latitude' | 'longitude') => {
  const all = found
    .get(zone)!
    .map(p => p[of])
    .sort((a, b) => a - b)
  return all[all.length >> 1]!
}
const places = [...names]
  .sort(([a], [b]) => a.localeCompare(b))
  .map(([name, zone]) => `  ${JSON.stringify(name)}: [${middle(zone, 'latitude')}, ${middle(zone, 'longitude')}]`)
writeFileSync(new URL('../app/reading/zonePlaces.json', import.meta.url), `{\n${places.join(',\n')}\n}\n`)
