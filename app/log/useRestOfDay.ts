import { computed, ref, toRaw, watch } from 'vue'
import { useBoxStore } from '~/box/store'
import { useDay } from '~/day/useDay'
import { localTime } from '~/reading/clock'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { useSettingsStore } from '~/settings/store'
import { useWatersStore } from '~/waters/store'
import { alike } from './alike'
import { type PlannedChange, changesOfRest, heldPins, plannedRods, restRequest } from './restOfDay'
import { useLogStore } from './store'
import { useTaughtStore } from '~/records/taught'
import { changesToCome, conditionsNoted, rodsNow } from './trip'

/** Fractions of the water's depth, or of twice the disc's. */
const STOPS = [0.01, 0.06, 0.13, 0.22, 0.33, 0.46, 0.62, 0.8, 1] as const

/**
 * What is left of the day of the trip under way, planned by the sky as it was noted last: anew whenever conditions,
 * rods or held changes are others. Where the trip has changes to come, those of the new plan take their place.
 */
export function useRestOfDay() {
  const log = useLogStore()
  const records = useRecordsStore()
  const waters = useWatersStore()
  const reading = useReadingStore()
  const settings = useSettingsStore()
  const box = useBoxStore()
  const taught = useTaughtStore()
  const trip = computed(() => log.current?.body ?? null)
  const noted = computed(() => trip.value && conditionsNoted(trip.value, log.taps))
  // The same for as long as they are alike: a tap that changes neither plans nothing anew.
  const rods = alike(() => (trip.value ? rodsNow(trip.value, log.taps) : []))
  const toCome = alike(() => (trip.value ? changesToCome(trip.value, log.taps) : []))
  const held = computed(() => toCome.value.filter(c => c.held))
  const lanes = computed(() => plannedRods(rods.value))
  const inLanes = computed(() => lanes.value.map(rod => rods.value[rod]!))
  const heldInLanes = computed(() =>
    held.value.flatMap(c => (lanes.value.includes(c.rod) ? [{ ...c, rod: lanes.value.indexOf(c.rod) }] : [])),
  )
  const zone = computed(() => waters.list.find(w => w.id === trip.value?.waterId)?.zone ?? reading.reading.zone)
  const planned = computed(() => records.list('plan').find(p => p.id === trip.value?.planId)?.body.asked ?? null)
  const ownedOf = (lure: string) => (settings.onlyOwned ? box.finishIds.filter(id => id.startsWith(`${lure}.`)) : [])
  /** Depths whose colours are asked for, m. */
  const depthsM = computed(() => {
    const { depthM, visibilityM } = noted.value!.water
    return STOPS.map(f => f * (depthM ?? 2 * visibilityM))
  })
  /** When what it is planned from became as it is. */
  const fromMs = ref(Date.now())
  const key = computed(() => JSON.stringify([noted.value, rods.value, held.value]))
  watch(key, () => (fromMs.value = Date.now()))
  const day = useDay(() => {
    const { latitude, longitude } = noted.value!.light.at ?? reading.reading
    const rest = {
      noted: noted.value!,
      place: { latitude, longitude },
      rods: inLanes.value,
      planned: planned.value,
      owned: ownedOf,
    }
    return {
      request: restRequest({ ...rest, fromMs: fromMs.value, zone: zone.value }),
      depthsM: depthsM.value,
      acrossHeightM: null,
      pins: heldPins(heldInLanes.value, inLanes.value, fromMs.value, zone.value),
      own: box.own.map(o => toRaw(o)),
      lean: taught.lean,
    }
  })
  /** Changes that the rest of the day asks for, with why. */
  const changes = computed<PlannedChange[] | null>(before => {
    const [plan, light] = [day.plan.value, day.light.value]
    if (!plan || !light || plan.lanes.length !== lanes.value.length) return null
    // The light is there before the lanes are: until then what was planned stands.
    if (day.scored.value[0]?.length !== light.steps.length) return before ?? null
    const worked = { plan, light, scored: day.scored.value }
    const told = changesOfRest(worked, inLanes.value, heldInLanes.value, fromMs.value, zone.value)
    const others = held.value.filter(c => !lanes.value.includes(c.rod)).map(c => ({ ...c, why: '' }))
    return [...told.map(c => ({ ...c, rod: lanes.value[c.rod]! })), ...others].sort((a, b) => a.at.localeCompare(b.at))
  })
  /** Whether conditions were noted after what is to come was planned. */
  const outdated = computed(() => {
    const since = trip.value?.plannedAt ?? trip.value?.startedAt ?? ''
    return log.taps.some(t => t.body.what === 'conditions' && t.body.at > since)
  })
  const clockAt = (iso: string) => localTime(Date.parse(iso), zone.value).toFormat('HH:mm')
  async function take(): Promise<void> {
    const { current } = log
    if (!current || !changes.value) return
    await log.change(current.id, {
      changes: changes.value.map(({ why: _, ...c }) => c),
      plannedAt: new Date().toISOString(),
    })
  }
  watch(changes, () => {
    if (day.progress.value === 1 && outdated.value && toCome.value.length) void take()
  })
  return { ...day, depthsM, changes, outdated, toCome, noted, rods, zone, clockAt, take }
}
