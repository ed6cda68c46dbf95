import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { SpotRecord, WaterRecord } from '#shared/schema/record'
import { sameClockIn } from '~/reading/clock'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { useDeviceStorage } from '~/settings/deviceStorage'

/** A water as the server tells of the basin's. */
export type BasinWater = { id: string } & Omit<WaterRecord, 'archived'>
/** A water that can be fished: the angler's own, or one of the basin, which cannot be changed. */
export type WaterOut = BasinWater & { own: boolean }

/** Saved waters: choosing one sets the place, its usual reading and what lives there. */
export const useWatersStore = defineStore('waters', () => {
  // Kept on the device, so that the basin is there without the server.
  const basin = useDeviceStorage<BasinWater[]>('piscator.basin', [])
  const state = ref<'loading' | 'here' | 'away'>('loading')
  const reading = useReadingStore()
  const records = useRecordsStore()

  async function load(): Promise<void> {
    try {
      const response = await fetch('/api/v1/waters')
      if (!response.ok) throw new Error(String(response.status))
      basin.value = (await response.json()) as BasinWater[]
      state.value = 'here'
    } catch {
      state.value = 'away'
    }
  }

  const byName = <T extends { body: { name: string } }>(list: T[]) =>
    list.sort((a, b) => a.body.name.localeCompare(b.body.name))
  const own = computed(() => byName(records.list('water')))
  const spots = computed(() => byName(records.list('spot')))
  const list = computed<WaterOut[]>(() => [
    ...own.value
      .filter(w => !w.body.archived)
      .map(({ id, body: { archived: _, ...body } }) => ({ id, ...body, own: true })),
    ...basin.value.map(w => ({ ...w, own: false })),
  ])
  /** Spots of a water that are still fished. */
  const spotsOf = (waterId: string | null) => spots.value.filter(s => s.body.waterId === waterId && !s.body.archived)

  function choose(id: string): void {
    const w = list.value.find(x => x.id === id)
    if (!w) {
      reading.set({ waterId: null, spotId: null, prey: [] })
      return
    }
    reading.set({
      waterId: w.id,
      spotId: null,
      placeGuessed: false,
      latitude: w.latitude,
      longitude: w.longitude,
      salinity: w.salinity,
      tint: w.usualTint,
      visibilityM: w.usualVisibilityM,
      prey: w.prey,
      zone: w.zone,
      timeMs: sameClockIn(reading.reading.timeMs, reading.reading.zone, w.zone),
    })
  }

  const current = computed(() => list.value.find(w => w.id === reading.reading.waterId) ?? null)
  const spot = computed(() => spots.value.find(s => s.id === reading.reading.spotId) ?? null)

  const putWater = (body: WaterRecord, id?: string) => records.put('water', body, id)
  const putSpot = (body: SpotRecord, id?: string) => records.put('spot', body, id)
  /** A copy of one of the basin's waters that can be changed. */
  const makeMine = ({ id: _, own: _o, ...w }: WaterOut) => putWater({ ...w, name: `${w.name}, mine`, archived: false })

  return { list, own, spots, spotsOf, state, load, choose, current, spot, putWater, putSpot, makeMine }
})
