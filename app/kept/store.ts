import { defineStore } from 'pinia'
import { v7 as newId } from 'uuid'
import { computed, ref, toRaw } from 'vue'
import type { Fault } from '#shared/faults'
import type { CallInput } from '#shared/schema/call'
import { backoff } from '~/common/backoff'
import { useDeviceStore } from '~/records/device'
import { useRecordsStore } from '~/records/store'
import { type KeptCall, type Waiting, send } from './outbox'
import { useDeviceStorage } from '~/settings/deviceStorage'

export type Health = 'unknown' | 'ok' | 'database-away' | 'server-away'

/** A call as listed: on the server, on its way there, or refused by it. */
export interface ListedCall extends KeptCall {
  state: 'kept' | 'waiting' | 'refused'
  faults: readonly Fault[]
}

/** Address of the next page in a Link header, or null. */
const nextPage = (link: string | null) => /<([^>]+)>; rel="next"/.exec(link ?? '')?.[1] ?? null

const listed = (w: Extract<Waiting, { kind: 'keep' }>): ListedCall => ({
  id: w.id,
  asked: w.input.asked,
  tiedOn: { id: w.input.tiedOn, name: w.name },
  rank: null,
  ...(w.input.leaned ? { leaned: w.input.leaned } : {}),
  waterId: w.input.waterId ?? null,
  keptAt: w.input.keptAt,
  state: w.faults ? 'refused' : 'waiting',
  faults: w.faults ?? [],
})

/**
 * Kept calls. A call is first written on the device and leaves it only when the server has said it has it, so neither
 * a lost connection nor a server that dies half way loses one.
 */
export const useCallsStore = defineStore('calls', () => {
  const records = useRecordsStore()
  const device = useDeviceStore()
  const kept = ref<KeptCall[]>([])
  const waiting = useDeviceStorage<Waiting[]>('piscator.waiting', [])
  const health = ref<Health>('unknown')
  const loaded = ref(false)
  /** The call kept last, until it is taken back: what the screen says was kept. */
  const last = ref<{ id: string; name: string } | null>(null)
  let sending = false
  // The list is fetched once: a retry needs to know only whether the server is back.
  const { again, well } = backoff(() => void (known ? checkHealth().then(flush) : load()))
  /**
   * The server knows this device: nothing is sent before, or a lost answer would leave what was sent with a stranger.
   */
  let known = false

  /** Newest first, what still waits included. */
  const all = computed<ListedCall[]>(() => {
    const here = new Set(waiting.value.map(w => w.id))
    const mine = waiting.value.flatMap(w => (w.kind === 'keep' ? [listed(w)] : []))
    const there = kept.value.filter(k => !here.has(k.id)).map((k): ListedCall => ({ ...k, state: 'kept', faults: [] }))
    return [...mine, ...there].sort((a, b) => b.keptAt.localeCompare(a.keptAt))
  })
  const refused = computed(() => all.value.filter(c => c.state === 'refused'))
  const toSend = computed(() => waiting.value.filter(w => w.kind === 'drop' || !w.faults))

  async function checkHealth(): Promise<void> {
    try {
      const response = await fetch('/api/v1/health')
      health.value = response.ok ? 'ok' : 'database-away'
    } catch {
      health.value = 'server-away'
    }
  }

  async function fetchCalls(): Promise<void> {
    try {
      await device.isKnown()
      const all: KeptCall[] = []
      for (let page: string | null = '/api/v1/calls'; page;) {
        const response: Response = await fetch(page)
        if (!response.ok) return await checkHealth()
        all.push(...((await response.json()) as KeptCall[]))
        page = nextPage(response.headers.get('link'))
      }
      kept.value = all
      known = true
    } catch {
      health.value = 'server-away'
    }
  }

  async function load(): Promise<void> {
    await checkHealth()
    if (health.value === 'ok') await fetchCalls()
    loaded.value = true
    await flush()
  }

  /** Put what the server answered in its place: confirmed, taken back, or refused with the faults. */
  function settle(w: Waiting, result: { call: KeptCall | null } | { faults: Fault[] }): void {
    const others = waiting.value.filter(x => !(x.id === w.id && x.kind === w.kind))
    if ('faults' in result) {
      // A take-back that is refused has nothing left to take back.
      waiting.value = w.kind === 'keep' ? [...others, { ...w, faults: result.faults }] : others
      return
    }
    waiting.value = others
    const rest = kept.value.filter(k => k.id !== w.id)
    kept.value = result.call ? [result.call, ...rest] : rest
  }

  /** Send what waits; try again later for whatever could not be sent. */
  async function flush(): Promise<void> {
    if (sending) return
    if (!known) return again()
    sending = true
    const tried = new Set<Waiting>()
    // What is kept while another is on its way goes in the same round.
    for (let w = toSend.value[0]; w; w = toSend.value.find(x => !tried.has(toRaw(x)))) {
      tried.add(toRaw(w))
      // A water of one's own is known to the server before a call that names it.
      if (w.kind === 'keep' && w.input.waterId && records.unsent) await records.sync()
      const result = await send(w)
      if (result.kind === 'away') {
        await checkHealth()
        break
      }
      if (result.kind === 'later') continue
      settle(w, result)
      well()
    }
    sending = false
    if (toSend.value.length || health.value !== 'ok') again()
  }

  /** Keep a call: on the device at once, on the server as soon as it answers. */
  function keep(
    asked: CallInput['asked'],
    finish: { id: string; name: string },
    waterId: string | null,
    { exactPlace = false, leaned = 0 } = {},
  ): void {
    const id = newId()
    const keptAt = new Date().toISOString()
    const input = {
      asked,
      tiedOn: finish.id,
      keptAt,
      waterId,
      ...(exactPlace ? { exactPlace } : {}),
      ...(leaned ? { leaned } : {}),
    }
    waiting.value = [...waiting.value, { kind: 'keep', id, input, name: finish.name }]
    last.value = { id, name: finish.name }
    void flush()
  }

  function takeBack(): void {
    if (last.value) forget(last.value.id)
  }

  /** Take a call back, whether or not it has reached the server. */
  function forget(id: string): void {
    waiting.value = [...waiting.value.filter(w => w.id !== id), { kind: 'drop', id }]
    if (last.value?.id === id) last.value = null
    void flush()
  }

  /** Send a refused call once more, without its water where that is what was wrong. */
  function mend(id: string): void {
    waiting.value = waiting.value.map(w => {
      if (w.kind !== 'keep' || w.id !== id) return w
      const { faults, ...call } = w
      const waterWrong = faults?.some(f => f.path === 'waterId')
      return waterWrong ? { ...call, input: { ...call.input, waterId: null } } : call
    })
    void flush()
  }

  return { all, waiting, toSend, refused, health, loaded, last, load, keep, takeBack, forget, mend }
})
