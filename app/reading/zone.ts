/**
 * Time zone of a place by its latitude and longitude, IANA name. The map of zones comes when it is first needed: most
 * visits never type a place.
 */
export async function zoneAt(latitude: number, longitude: number): Promise<string> {
  const { default: lookUp } = await import('tz-lookup')
  return lookUp(latitude, longitude)
}
