import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { backoff } from './backoff'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

it('waits twice as long each time, a minute at most, and begins anew once it went well', async () => {
  const waited: number[] = []
  let from = Date.now()
  const trying = backoff(() => {
    waited.push((Date.now() - from) / 1000)
    from = Date.now()
    if (waited.length === 6) trying.well()
    trying.again()
  })
  expect(trying.waits()).toBe(false)
  trying.again()
  // One try waits at a time.
  trying.again()
  expect(trying.waits()).toBe(true)
  await vi.advanceTimersByTimeAsync(190_000)
  expect(waited).toEqual([4, 8, 16, 32, 60, 60, 4])
})
