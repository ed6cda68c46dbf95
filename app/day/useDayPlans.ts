import type { DayRequest } from '#core/day/request'
import { finishById } from '#core/lure/finish'
import { type Ref, computed, onMounted, ref, watch } from 'vue'
import type { DayShown, PlanShown } from './work'
import { onDate } from '~/reading/clock'
import { useReadingStore } from '~/reading/store'
import { type Kept, useRecordsStore } from '~/records/store'
import { useWatersStore } from '~/waters/store'
import { FIRST_DAY, USUAL_SCORE } from './fields'
import { useDayStore } from './store'

/** A lane as it can be planned anywhere: what is not of the catalogue is on this angler's devices alone. */
function ofCatalogue({ finishIds, ...lane }: DayRequest['lures'][number]): DayRequest['lures'][number] {
  const ids = finishIds?.filter(id => finishById(id))
  return ids?.length ? { ...lane, finishIds: ids } : lane
}

/** The spells of a plan on the clock of its day. */
const spellsOf = ({ lanes }: PlanShown, light: DayShown | null) =>
  lanes.flatMap((spells, lane) =>
    spells.flatMap(({ from, to, finishId }) => {
      const [first, last] = [light?.steps[from], light?.steps[to - 1]]
      return first && last ? [{ lane, fromMin: first.atMin, toMin: last.endMin, finishId }] : []
    }),
  )

/** Keep the plan of a day, and open one that was kept, on its date or on the one that is looked at. */
export function useDayPlans(plan: Readonly<Ref<PlanShown | null>>, light: Readonly<Ref<DayShown | null>>) {
  const day = useDayStore()
  const reading = useReadingStore()
  const waters = useWatersStore()
  const records = useRecordsStore()
  const keptKey = ref('')
  const key = computed(() => JSON.stringify([day.request, day.set.pins]))
  const kept = computed(() => keptKey.value === key.value)
  onMounted(() => void records.load())

  function keep(): void {
    if (!plan.value) return
    keptKey.value = key.value
    void records.put('plan', {
      name: waters.current?.name ?? 'Unnamed water',
      waterId: reading.reading.waterId,
      asked: { ...day.request, lures: day.request.lures.map(ofCatalogue) },
      ...(day.set.pins.length ? { pins: day.set.pins } : {}),
      spells: spellsOf(plan.value, light.value),
      pack: plan.value.pack.map(p => p.finishId),
      share: plan.value.packed,
    })
  }

  /** Put the screen back as the plan was made; `copy` keeps the date that is looked at. */
  function open({ body }: Kept<'plan'>, copy: boolean): void {
    const { asked, waterId, pins } = body
    const { timeMs, zone } = reading.reading
    const { water } = asked
    if (waterId) waters.choose(waterId)
    reading.set({
      visibilityM: water.visibilityM,
      tint: water.tint,
      temperatureC: water.temperatureC ?? null,
      waterM: water.depthM ?? null,
      latitude: asked.place.latitude,
      longitude: asked.place.longitude,
      waterId,
      ...(asked.species ? { species: asked.species } : {}),
      ...(asked.background ? { background: asked.background } : {}),
      timeMs: (copy ? null : onDate(timeMs, zone, asked.date)) ?? timeMs,
    })
    day.change({
      lanes: asked.lures.map(l => ({ lure: l.lure, place: l.place ?? 'open', depthM: l.depthM ?? null })),
      hours:
        asked.hours?.length === 24
          ? asked.hours.map(h => ({
              cloud: h.cloud ?? 0.5,
              wind: h.wind ?? 'calm',
              rain: h.rain ?? false,
              lightning: h.lightning ?? false,
            }))
          : null,
      bank: asked.bank ? { ...asked.bank, acrossHeightM: asked.bank.heightM } : null,
      packMost: asked.packMost ?? FIRST_DAY.packMost,
      changeMin: asked.changeCost === undefined ? FIRST_DAY.changeMin : (asked.changeCost / USUAL_SCORE) * 60,
      minSpellMin: asked.minSpellMin ?? 0,
      pins: pins ? [...pins] : [],
    })
  }
  watch(key, () => {
    if (keptKey.value !== key.value) keptKey.value = ''
  })
  return { keep, kept, open }
}
