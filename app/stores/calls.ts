import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { CallInput } from '#shared/schema/call'
import { type Waiting, send } from '../utils/outbox'

export interface KeptCall { id: string, asked: CallInput['asked'], tiedOn: { id: string, name: string }, rank: number | null, keptAt: string }
export type Health = 'unknown' | 'ok' | 'database-away' | 'server-away'

/** How often to try again while something waits or the server is away, ms. */
const AGAIN_MS = 4000

/**
 * Kept calls. A call is first written on the device and leaves it only when the server has said it has it, so neither a lost
 * connection nor a server that dies half way loses one.
 */
export const useCallsStore = defineStore('calls', () => {
  const kept = ref<KeptCall[]>([])
  const waiting = useLocalStorage<Waiting[]>('piscator.waiting', [])
  const health = ref<Health>('unknown')
  const loaded = ref(false)
  const refused = ref<string | null>(null)
  /** The call kept last, until it is taken back: what the screen says was kept. */
  const last = ref<{ id: string, name: string } | null>(null)
  let timer: ReturnType<typeof setTimeout> | null = null
  let sending = false
  /** The server knows this device: nothing is sent before, or a lost answer would leave what was sent with a stranger. */
  let known = false

  /** Newest first, what still waits included. */
  const all = computed<(KeptCall & { waiting: boolean })[]>(() => {
    const here = new Set(waiting.value.map(w => w.id))
    const mine = waiting.value.flatMap(w => w.kind === 'drop' ? [] : [{ id: w.id, asked: w.input.asked, tiedOn: { id: w.input.tiedOn, name: w.name }, rank: null, keptAt: w.input.keptAt, waiting: true }])
    const there = kept.value.filter(k => !here.has(k.id)).map(k => ({ ...k, waiting: false }))
    return [...mine, ...there].sort((a, b) => b.keptAt.localeCompare(a.keptAt))
  })

  async function checkHealth(): Promise<void> {
    try {
      const response = await fetch('/api/v1/health')
      health.value = response.ok ? 'ok' : 'database-away'
    }
    catch {
      health.value = 'server-away'
    }
  }

  async function load(): Promise<void> {
    await checkHealth()
    if (health.value === 'ok') {
      try {
        const response = await fetch('/api/v1/calls')
        if (response.ok) {
          kept.value = await response.json() as KeptCall[]
          known = true
        }
        else await checkHealth()
      }
      catch {
        health.value = 'server-away'
      }
    }
    loaded.value = true
    await flush()
  }

  /** Send what waits; try again later for whatever could not be sent. */
  async function flush(): Promise<void> {
    if (sending) return
    if (!known) return again()
    sending = true
    let sentAny = false
    for (const w of [...waiting.value]) {
      const result = await send(w)
      if (result === 'away') break
      if (result === 'refused' && w.kind === 'keep') refused.value = w.name
      waiting.value = waiting.value.filter(x => !(x.id === w.id && x.kind === w.kind))
      sentAny = true
    }
    sending = false
    if (sentAny) {
      const response = await fetch('/api/v1/calls').catch(() => null)
      if (response?.ok) kept.value = await response.json() as KeptCall[]
    }
    if (waiting.value.length || health.value !== 'ok') {
      if (waiting.value.length) await checkHealth()
      again()
    }
  }

  function again(): void {
    if (timer) return
    timer = setTimeout(() => {
      timer = null
      void load()
    }, AGAIN_MS)
  }

  /** Keep a call: on the device at once, on the server as soon as it answers. */
  function keep(asked: CallInput['asked'], finish: { id: string, name: string }, waterId: string | null): void {
    const id = crypto.randomUUID()
    waiting.value = [...waiting.value, { kind: 'keep', id, input: { asked, tiedOn: finish.id, keptAt: new Date().toISOString(), waterId }, name: finish.name }]
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

  return { all, waiting, health, loaded, refused, last, load, keep, takeBack, forget }
})
