/** The package has no types of its own. */
declare module 'tz-lookup' {
  /** IANA time zone at a place; throws a RangeError outside -90..90 and -180..180 degrees. */
  export default function tzlookup(latitude: number, longitude: number): string
}
