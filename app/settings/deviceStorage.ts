import { ref } from 'vue'
import { useStorage } from '@vueuse/core'
import type { RemovableRef, UseStorageOptions } from '@vueuse/core'

const quiet = { onError: () => {} }

/** A value kept on this device; where the browser refuses to keep anything it lasts as long as the page. */
export const useDeviceStorage = <T>(key: string, first: T, options: UseStorageOptions<T> = {}): RemovableRef<T> =>
  useStorage<T>(key, first, undefined, { ...quiet, ...options })

/** The same for as long as the tab is open. */
export function useTabStorage<T>(key: string, first: T): RemovableRef<T> {
  let storage: Storage | undefined
  try {
    storage = globalThis.sessionStorage
  } catch {
    storage = undefined
  }
  return storage ? useStorage<T>(key, first, storage, quiet) : (ref(first) as RemovableRef<T>)
}
