import { describe, expect, it } from 'vitest'
import { isProxy, reactive, ref } from 'vue'
import { plain } from './plain'

const anyProxy = (v: unknown): boolean =>
  isProxy(v) || (typeof v === 'object' && v !== null && Object.values(v).some(anyProxy))

describe('what is sent to a worker', () => {
  it('is the same without wraps, however deep they lie', () => {
    const store = reactive({ prey: ['shad'], spot: { depthM: null as number | null } })
    const kept = ref([{ id: 'a' }])
    const asked = { request: { water: store.prey, spot: store.spot }, owned: [kept.value[0], ...kept.value], n: 2 }
    expect(anyProxy(asked)).toBe(true)
    const sent = plain(asked)
    expect(anyProxy(sent)).toBe(false)
    expect(sent).toEqual({
      request: { water: ['shad'], spot: { depthM: null } },
      owned: [{ id: 'a' }, { id: 'a' }],
      n: 2,
    })
    expect(structuredClone(sent)).toEqual(sent)
  })
  it('leaves numbers in a row, and what has no entries of its own, as they are', () => {
    const row = Float64Array.of(1, 2)
    const sent = plain(reactive({ row, none: undefined, nothing: null }))
    expect(sent.row).toEqual(row)
    expect(sent.row).toBeInstanceOf(Float64Array)
    expect(sent).toHaveProperty('none', undefined)
    expect(sent.nothing).toBeNull()
    expect(plain('as it is')).toBe('as it is')
  })
})
