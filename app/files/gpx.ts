import type { Feature } from 'geojson'

/** Whether a file is GPX, by its name or by how it begins. */
export const isGpx = (name: string, text: string): boolean =>
  /\.gpx$/i.test(name) || /<gpx[\s>]/i.test(text.slice(0, 2000))

/** Waypoints and tracks of a GPX 1.1 file as GeoJSON features; null where it cannot be read. */
export async function gpxFeatures(text: string): Promise<Feature[] | null> {
  const { gpx } = await import('@tmcw/togeojson')
  const xml = new DOMParser().parseFromString(text, 'text/xml')
  return xml.getElementsByTagName('parsererror').length ? null : gpx(xml).features
}
