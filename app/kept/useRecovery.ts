import { ref } from 'vue'
import type { Fault } from '#shared/faults'
import { useRecordsStore } from '~/records/store'

const AWAY = 'The server does not answer just now. Try again in a moment.'

/** Move a device's records by a code that was written down: make one here, or type one made elsewhere. */
export function useRecovery() {
  const records = useRecordsStore()
  const code = ref('')
  const words = ref('')
  const busy = ref(false)

  async function ask(path: string, body?: object): Promise<Response | null> {
    busy.value = true
    words.value = ''
    try {
      return await fetch(`/api/v1/${path}`, {
        method: 'POST',
        ...(body ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) } : {}),
      })
    } catch {
      return null
    } finally {
      busy.value = false
    }
  }

  /** A new code for this device; the one before is void. */
  async function make(): Promise<void> {
    const response = await ask('recovery-code')
    if (response?.ok) code.value = ((await response.json()) as { code: string }).code
    else words.value = AWAY
  }

  /** Make this device the one a code was written down on. What it kept itself stays. */
  async function use(typed: string): Promise<void> {
    const response = await ask('recover', { code: typed.trim() })
    if (response?.ok) {
      words.value = 'The records of that code are on this device now, with what was kept here.'
      await records.hearAnew()
      return
    }
    const faults = response?.status === 422 ? ((await response.json()) as { errors: Fault[] }).errors : []
    words.value = faults.map(f => f.message).join(' ') || AWAY
  }
  return { code, words, busy, make, use }
}
