import { ref } from 'vue'
import { ask } from '~/common/ask'
import { useDeviceStore } from '~/records/device'
import { useRecordsStore } from '~/records/store'

/** Move a device's records by a code that was written down: make one here, or type one made elsewhere. */
export function useRecovery() {
  const records = useRecordsStore()
  const device = useDeviceStore()
  const code = ref('')
  const words = ref('')
  const busy = ref(false)

  async function alone(go: () => Promise<void>): Promise<void> {
    busy.value = true
    words.value = ''
    await device.alone(go).finally(() => (busy.value = false))
  }

  /** A new code for this device; the one before is void. */
  const make = () =>
    alone(async () => {
      const made = await ask<{ code: string }>('POST', 'recovery-code')
      if (made.ok) code.value = made.value.code
      else words.value = made.words
    })

  /** Make this device the one a code was written down on. What it kept itself stays. */
  async function use(typed: string): Promise<boolean> {
    let moved = false
    await alone(async () => {
      const asked = await ask('POST', 'recover', { code: typed.trim() })
      moved = asked.ok
      words.value = asked.ok ? 'The records of that code are on this device now, with what was kept here.' : asked.words
    })
    if (moved) await records.hearAnew()
    return moved
  }
  return { code, words, busy, make, use }
}
