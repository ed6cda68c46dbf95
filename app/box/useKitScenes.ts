import { computed } from 'vue'
import type { Request } from '#core/request/request'
import { useCallsStore } from '~/kept/store'
import { localTime } from '~/reading/clock'
import { useReadingStore } from '~/reading/store'
import { useSettingsStore } from '~/settings/store'
import { useWatersStore } from '~/waters/store'
import { useBoxStore } from './store'
import type { KitQuestion } from './useBox'

/** A kept call as a scene that was fished. */
const sceneOf = ({ limit: _, ...asked }: Request) => asked

/** What a kit is for: the angler's waters through the year, or the calls that were kept. */
export function useKitScenes() {
  const box = useBoxStore()
  const calls = useCallsStore()
  const reading = useReadingStore()
  const settings = useSettingsStore()
  const waters = useWatersStore()
  const fished = computed(() => {
    const chosen = waters.list.filter(w => settings.kitWaters.includes(w.id))
    return chosen.length ? chosen : waters.list
  })
  const kitQuestion = (): KitQuestion | null => {
    const owned = new Set(box.finishIds)
    const [keep, drop] = [settings.kitKeep, settings.kitDrop].map(ids => ids.filter(id => owned.has(id)))
    const pins = { keep: keep!, drop: drop! }
    if (settings.kitFor === 'calls')
      return calls.all.length ? { of: { scenes: calls.all.map(c => sceneOf(c.asked)) }, ...pins } : null
    return fished.value.length
      ? {
          ...pins,
          of: {
            sample: {
              waters: fished.value.map(w => ({
                visibilityM: w.usualVisibilityM,
                tint: w.usualTint,
                salinity: w.salinity,
                latitude: w.latitude,
                longitude: w.longitude,
                prey: w.prey,
              })),
              species: reading.reading.species,
              moments: 120,
              year: localTime(reading.reading.timeMs, reading.reading.zone).year,
            },
          },
        }
      : null
  }
  const fishedWords = computed(() => {
    if (settings.kitFor === 'calls') return `the ${calls.all.length} calls you kept`
    return `${fished.value.length === 1 ? fished.value[0]!.name : `${fished.value.length} waters`}, through the year`
  })
  const turnWater = (id: string) => {
    const now = settings.kitWaters.length ? settings.kitWaters : waters.list.map(w => w.id)
    settings.kitWaters = now.includes(id) ? now.filter(w => w !== id) : [...now, id]
  }
  return { fished, kitQuestion, fishedWords, turnWater }
}
