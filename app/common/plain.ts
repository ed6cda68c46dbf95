import { toRaw } from 'vue'

/**
 * The same without what a store wraps things in, at any depth: what is wrapped cannot be sent to a worker. Other than
 * lists and plain records is left as it is.
 */
export function plain<T>(value: T): T {
  const raw: unknown = toRaw(value)
  if (typeof raw !== 'object' || raw === null) return raw as T
  if (Array.isArray(raw)) return raw.map(plain) as T
  if (Object.getPrototypeOf(raw) !== Object.prototype) return raw as T
  return Object.fromEntries(Object.entries(raw).map(([key, v]) => [key, plain(v)])) as T
}
