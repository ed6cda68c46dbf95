import { ENGINE_VERSION } from '#core/ranking/version'
import type { Request } from '#core/request/request'

/** So many that stood first are kept with what was tied on. */
export const SHOWN_FIRST = 3

/** What is kept of a list, best first: which finishes led it, and by which engine. */
export const shownOf = (finishIds: readonly string[]) => ({
  engine: ENGINE_VERSION,
  first: finishIds.slice(0, SHOWN_FIRST),
})

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
