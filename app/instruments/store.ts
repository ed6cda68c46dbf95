import { rounded } from '#core/numeric/rounded'
import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { type Board, type Quantity, instrumentStateOf } from '#shared/instruments'
import { useReadingStore } from '~/reading/store'
import { useDeviceStorage } from '~/settings/deviceStorage'

/** What of the reading an instrument can keep up to date, and by how much it must have moved to be written anew. */
const FOLLOWED = {
  temperatureC: { field: 'temperatureC', step: 0.25 },
  depthM: { field: 'waterM', step: 0.1 },
} as const satisfies Partial<Record<Quantity, { field: 'temperatureC' | 'waterM'; step: number }>>
export type Followed = keyof typeof FOLLOWED
/** A stream that told nothing for so long is lost, ms. */
const SILENT_MS = 15_000

/**
 * What the boat's and the gauge's instruments tell: listened to while a screen shows them or something follows one.
 * A figure is taken once, or followed until the angler types another over it; nothing that is stale or cannot be is
 * ever written.
 */
export const useInstrumentsStore = defineStore('instruments', () => {
  const reading = useReadingStore()
  const board = shallowRef<Board | null>(null)
  const lost = ref(false)
  /** The device's clock when the board came, and now; ages hang on these alone, never on two clocks' agreement. */
  const cameMs = ref(0)
  const nowMs = ref(0)
  const follows = useDeviceStorage<Partial<Record<Followed, boolean>>>('piscator.follows', {})
  const lookers = ref(0)
  const wanted = computed(() => lookers.value > 0 || Object.values(follows.value).some(Boolean))
  let source: EventSource | null = null
  let timer: ReturnType<typeof setInterval> | null = null
  /** What was last written by following, so that any other value is known to be the angler's. */
  const written = new Map<Followed, number>()

  function open(): void {
    source = new EventSource('/api/v1/instruments')
    cameMs.value = Date.now()
    source.onmessage = e => hear(JSON.parse(e.data as string) as Board)
    source.onerror = () => (lost.value = true)
    timer = setInterval(() => {
      nowMs.value = Date.now()
      if (nowMs.value - cameMs.value > SILENT_MS) lost.value = true
      // A stream that was refused is not tried again by the browser itself.
      if (lost.value && source?.readyState === EventSource.CLOSED) {
        close()
        open()
      }
    }, 1000)
  }
  function close(): void {
    source?.close()
    source = null
    if (timer) clearInterval(timer)
  }
  function hear(told: Board): void {
    board.value = told
    lost.value = false
    cameMs.value = Date.now()
    nowMs.value = cameMs.value
    for (const q of Object.keys(FOLLOWED) as Followed[]) if (follows.value[q]) write(q)
  }
  /** How old a figure is, s. */
  const ageS = (q: Quantity) => {
    const told = board.value?.told[q]
    return told ? Math.max(0, (board.value!.nowMs - told.atMs + nowMs.value - cameMs.value) / 1000) : Infinity
  }
  function standing(q: Quantity) {
    const told = board.value?.told[q]
    return told ? instrumentStateOf(q, told, told.atMs + ageS(q) * 1000) : null
  }

  /** Write a figure into the reading, unless it is old, cannot be, or says what stands there already. */
  function write(q: Followed): void {
    const told = board.value?.told[q]
    if (!told || lost.value || standing(q) !== 'fresh') return
    const { field, step } = FOLLOWED[q]
    const now = reading.reading[field]
    if (now !== null && Math.abs(told.value - now) < step) {
      written.set(q, now)
      return
    }
    reading.set({ [field]: rounded(told.value, 1) })
    written.set(q, reading.reading[field]!)
  }
  function follow(q: Followed, on: boolean): void {
    follows.value = { ...follows.value, [q]: on }
    written.delete(q)
    if (on) write(q)
  }
  // Whatever else writes the field than following is the angler's word, and stands.
  for (const q of Object.keys(FOLLOWED) as Followed[])
    watch(
      () => reading.reading[FOLLOWED[q].field],
      value => {
        if (follows.value[q] && written.has(q) && value !== written.get(q)) follow(q, false)
      },
      { flush: 'post' },
    )
  watch(wanted, on => (on ? open() : close()), { immediate: true })

  /** Listen for as long as whatever calls this is on the screen. */
  function look(): void {
    lookers.value++
    onScopeDispose(() => lookers.value--)
  }
  return { board, lost, follows, ageS, standing, take: write, follow, look }
})
