import { type ComputedRef, computed } from 'vue'

/** What is worked out together; the same object as long as it holds the same, so that nothing is drawn anew for it. */
export const steady = <T extends object>(made: () => T): ComputedRef<T> =>
  computed<T>(old => {
    const now = made()
    const keys = Object.keys(now) as (keyof T)[]
    return old && keys.length === Object.keys(old).length && keys.every(k => now[k] === old[k]) ? old : now
  })
