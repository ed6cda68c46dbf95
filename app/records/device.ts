import { defineStore } from 'pinia'

/** One tab at a time is introduced, where the browser can see to that. */
const inTurn = <T>(go: () => Promise<T>): Promise<T> =>
  typeof navigator !== 'undefined' && navigator.locks ? navigator.locks.request('piscator.device', go) : go()

/** The server says that this device's session was ended. */
export class SignedOutError extends Error {}

/**
 * Who this device is to the server: it is introduced once, before anything is sent. A device that sent two things at
 * once before it had its cookie would be two anglers, each with half of what was sent.
 */
export const useDeviceStore = defineStore('device', () => {
  let known: Promise<void> | null = null
  async function introduce(): Promise<void> {
    const response = await fetch('/api/v1/device')
    if (response.status === 401) throw new SignedOutError()
    if (!response.ok) throw new Error(String(response.status))
  }
  /** Resolves once the server knows this device; rejects where it cannot be asked, and may be asked again. */
  function isKnown(): Promise<void> {
    return (known ??= inTurn(introduce).catch((error: unknown) => {
      known = null
      throw error
    }))
  }
  /** Forget that it is known: it is to be introduced again before anything else is sent. */
  const forget = () => (known = null)
  /** Ask once more who it is, since the server did not know it; true where it is known after all. */
  async function askAnew(): Promise<true> {
    forget()
    await isKnown()
    return true
  }
  /** What changes who this device is, while nothing else asks who it is. */
  const alone = inTurn
  return { isKnown, forget, askAnew, alone }
})
