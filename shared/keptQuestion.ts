import type { Request } from '#core/request/request'

/** A place is kept to a hundredth of a degree, about a kilometre: enough for the sun, too little for a secret spot. */
const PLACE_DECIMALS = 2

/** What is kept of a question: its place roughly, unless the angler wants it kept as it is. */
export function keptQuestion(asked: Request, exactPlace: boolean): Request {
  const { at } = asked.light
  if (!at || exactPlace) return asked
  const rough = (deg: number) => Number(deg.toFixed(PLACE_DECIMALS))
  return {
    ...asked,
    light: { ...asked.light, at: { ...at, latitude: rough(at.latitude), longitude: rough(at.longitude) } },
  }
}
