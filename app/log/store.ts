import { defineStore } from 'pinia'
import { v7 as newId } from 'uuid'
import { computed, ref } from 'vue'
import { shownOf } from '#shared/kept'
import type { Rod, TapKind, TapRecord, TripRecord } from '#shared/schema/record'
import { type Kept, useRecordsStore } from '~/records/store'
import { spellOf, trialOf } from './trial'
import { type Tap, rodNow, tapsOf } from './trip'
import { useWhereaboutsStore } from './whereabouts'

/** The same target touched again so soon is one touch of a wet finger, ms. */
const BOUNCE_MS = 400
/** The log: the trip that is under way, and every tap on it, on the device before anything else. */
export const useLogStore = defineStore('log', () => {
  const records = useRecordsStore()
  const where = useWhereaboutsStore()
  const trips = computed<Kept<'trip'>[]>(() =>
    records.list('trip').sort((a, b) => b.body.startedAt.localeCompare(a.body.startedAt)),
  )
  const allTaps = computed(() => records.list('tap'))
  const current = computed(() => trips.value.find(t => !t.body.endedAt) ?? null)
  const taps = computed<Tap[]>(() => (current.value ? tapsOf(allTaps.value, current.value.id) : []))
  /** Who taps on this device, where nothing else is said. */
  const who = ref(0)
  const rod = computed(() => rodNow(taps.value, who.value))
  /** The last target that was touched, and when: the same again at once is a bouncing finger. */
  let touched = { key: '', at: -Infinity }
  /** What was tapped last on this device, to be taken back. */
  const undone = ref<string[]>([])

  async function start(body: Omit<TripRecord, 'startedAt' | 'endedAt'>): Promise<void> {
    undone.value = []
    await records.put('trip', { ...body, startedAt: new Date().toISOString(), endedAt: null })
  }
  const change = (id: string, patch: Partial<TripRecord>) => {
    const trip = trips.value.find(t => t.id === id)
    return trip ? records.put('trip', { ...trip.body, ...patch }, id) : Promise.resolve('')
  }
  const end = () => (current.value ? change(current.value.id, { endedAt: new Date().toISOString() }) : null)
  const resume = (id: string) => change(id, { endedAt: null })

  /** One tap on the trip under way. */
  async function tap(what: TapKind, { who: named, ...rest }: Partial<TapRecord> = {}): Promise<void> {
    const trip = current.value
    if (!trip) return
    const whose = named ?? who.value
    const place = where.place()
    // A clock that is set back does not turn the order of what happened.
    const atMs = Math.max(Date.now(), 1 + Date.parse(taps.value.at(-1)?.body.at ?? trip.body.startedAt))
    const at = new Date(atMs).toISOString()
    const theirs = whose ? { who: whose } : {}
    const made = (body: Pick<TapRecord, 'what' | 'rod'>) => ({
      id: newId(),
      body: { tripId: trip.id, at, ...(place ? { place } : {}), ...theirs, ...body },
    })
    // In a test the order says which of the two is in hand.
    const held = rodNow(taps.value, whose)
    const spell = what === 'cast' && trip.body.trial ? spellOf(trialOf(trip.body, taps.value), whose) : undefined
    const drawn = spell ? Number(spell.side === 'b') : held
    const taken = drawn === held ? [] : [made({ what: 'rod', rod: drawn })]
    const tapped = made({ what, rod: drawn, ...rest })
    undone.value = [...undone.value, tapped.id]
    await records.write('tap', [...taken, tapped])
  }
  /** A target touched, or pressed by keys: what happened, and to whom. A finger that bounces counts once. */
  function touch(
    what: TapKind,
    { detail, timeStamp }: Pick<MouseEvent, 'detail' | 'timeStamp'>,
    whose = who.value,
  ): void {
    const key = `${what} ${whose}`
    const bounced = detail > 0 && key === touched.key && timeStamp - touched.at < BOUNCE_MS
    touched = { key, at: timeStamp }
    if (!bounced) void tap(what, { who: whose })
  }
  async function undo(): Promise<void> {
    const id = undone.value.at(-1) ?? taps.value.at(-1)?.id
    if (!id) return
    undone.value = undone.value.slice(0, -1)
    await records.remove('tap', id)
  }
  const mend = (t: Tap, patch: Partial<TapRecord>) => records.put('tap', { ...t.body, ...patch }, t.id)
  const takeOut = (id: string) => records.remove('tap', id)
  /** Rig a rod anew; `first` is what stood first in the list it was chosen from. */
  const rig = (i: number, to: Rod, first: readonly string[] = []) =>
    tap('rig', {
      rod: i,
      rig: to,
      ...(first.length ? { shown: shownOf(first) } : {}),
    })
  return { trips, allTaps, current, taps, who, rod, start, change, end, resume, tap, touch, undo, mend, takeOut, rig }
})
