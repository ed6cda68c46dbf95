import { useSettingsStore } from '~/settings/store'
import { useLogStore } from './store'
import { useWatersStore } from '~/waters/store'
import type { Tap } from './trip'
import { tapWords } from './words'

/** What a tap says, in the angler's units and names. */
export function useTapWords() {
  const settings = useSettingsStore()
  const waters = useWatersStore()
  const log = useLogStore()
  const nameOf = ({ body }: Tap) => log.trips.find(t => t.id === body.tripId)?.body.crew?.[body.who ?? 0] ?? ''
  const spotName = (id: string) => waters.spots.find(s => s.id === id)?.body.name
  return (t: Tap) => tapWords(t.body, settings.units, spotName, nameOf(t))
}
