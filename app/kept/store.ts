import { defineStore } from 'pinia'
import { v7 as newId } from 'uuid'
import { computed, ref } from 'vue'
import type { CallRecord } from '#shared/schema/record'
import { useRecordsStore } from '~/records/store'
import { bringOverOutbox } from './oldOutbox'

/** A call as listed: on the server, on its way there, or refused by it. */
export interface ListedCall extends CallRecord {
  id: string
  state: 'kept' | 'waiting' | 'refused'
  /** Why it was refused, in words. */
  why: string
}

/** Kept calls, newest first. */
export const useCallsStore = defineStore('calls', () => {
  const records = useRecordsStore()
  /** The call kept last, until it is taken back: what the screen says was kept. */
  const last = ref<{ id: string; name: string } | null>(null)

  const all = computed<ListedCall[]>(() => {
    const waiting = records.unsentOf('call')
    const refused = new Map(records.refused.map(r => [r.event.recordId, r.why]))
    const listed = records.list('call').map(({ id, body }): ListedCall => {
      const why = refused.get(id)
      return {
        ...body,
        id,
        state: why !== undefined ? 'refused' : waiting.has(id) ? 'waiting' : 'kept',
        why: why ?? '',
      }
    })
    return listed.sort((a, b) => b.keptAt.localeCompare(a.keptAt))
  })

  async function load(): Promise<void> {
    await records.load()
    await bringOverOutbox(records)
  }

  /** Keep a call: on the device at once, on the server as soon as it answers. */
  function keep(call: Omit<CallRecord, 'keptAt'>): void {
    const id = newId()
    last.value = { id, name: call.name }
    void records.put('call', { ...call, keptAt: new Date().toISOString() }, id)
  }

  function takeBack(): void {
    if (last.value) forget(last.value.id)
  }

  /** Take a call back, whether or not it has reached the server. */
  function forget(id: string): void {
    if (last.value?.id === id) last.value = null
    void records.remove('call', id)
  }

  return { all, last, load, keep, takeBack, forget }
})
