import zoneAt from 'tz-lookup'
import type { Database } from '#server/db/connection'

/** The waters of the demonstration basin, each with the time zone of its place. */
export async function listWaters({ Water }: Database) {
  const rows = await Water.findAll({ order: [['name', 'ASC']] })
  return rows.map(w => ({
    id: w.id,
    name: w.name,
    kind: w.kind,
    latitude: w.latitude,
    longitude: w.longitude,
    zone: zoneAt(w.latitude, w.longitude),
    salinity: w.salinity,
    usualTint: w.usualTint,
    usualVisibilityM: w.usualVisibilityM,
    prey: w.prey,
    note: w.note,
  }))
}
