import { defineStore } from 'pinia'

/** One tab at a time is introduced, where the browser can see to that. */
const inTurn = (go: () => Promise<void>): Promise<void> =>
  typeof navigator !== 'undefined' && navigator.locks ? navigator.locks.request('piscator.device', go) : go()

/**
 * Who this device is to the server: it is introduced once, before anything is sent. A device that sent two things at
 * once before it had its cookie would be two anglers, each with half of what was sent.
 */
export const useDeviceStore = defineStore('device', () => {
  let known: Promise<void> | null = null
  async function introduce(): Promise<void> {
    const response = await fetch('/api/v1/device')
    if (!response.ok) throw new Error(String(response.status))
  }
  /** Resolves once the server knows this device; rejects where it cannot be asked, and may be asked again. */
  function isKnown(): Promise<void> {
    return (known ??= inTurn(introduce).catch((error: unknown) => {
      known = null
      throw error
    }))
  }
  return { isKnown }
})
