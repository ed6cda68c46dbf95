import { useSettingsStore } from '~/settings/store'
import { useWatersStore } from '~/waters/store'
import type { Tap } from './trip'
import { tapWords } from './words'

/** What a tap says, in the angler's units and names. */
export function useTapWords() {
  const settings = useSettingsStore()
  const waters = useWatersStore()
  return (t: Tap) => tapWords(t.body, settings.units, id => waters.spots.find(s => s.id === id)?.body.name)
}
