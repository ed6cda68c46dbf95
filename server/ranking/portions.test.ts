import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { TooBusyError } from './pool'
import type { Job } from './jobs'
import { inPortions } from './portions'

const asked = vi.hoisted(() => ({ jobs: [] as unknown[], busy: 0, fails: null as Error | null }))
vi.mock('./pool', async load => {
  const real = await load<typeof import('./pool')>()
  const workInThread = async (job: unknown) => {
    if (asked.fails) throw asked.fails
    if (asked.busy-- > 0) throw new real.TooBusyError()
    asked.jobs.push(job)
    return JSON.stringify((job as { some: number[] }).some.map(n => 10 * n))
  }
  return { ...real, workInThread }
})
const jobOf = (some: readonly number[]) => ({ some }) as unknown as Job
const work = (items: number[], signal = new AbortController().signal) =>
  inPortions<number, number>(items, 2, jobOf, signal)

beforeEach(() => {
  vi.useFakeTimers()
  Object.assign(asked, { jobs: [], busy: 0, fails: null })
})
afterEach(() => vi.useRealTimers())

describe('long work in portions', () => {
  it('comes in order, a portion at a time, whatever is left over', async () => {
    expect(await work([1, 2, 3, 4, 5])).toEqual([10, 20, 30, 40, 50])
    expect(asked.jobs).toEqual([{ some: [1, 2] }, { some: [3, 4] }, { some: [5] }])
    expect(await work([])).toEqual([])
  })
  it('waits its turn where the queue is full, and gives up at nothing else', async () => {
    asked.busy = 2
    const done = work([1])
    await vi.advanceTimersByTimeAsync(140)
    expect(asked.jobs).toEqual([])
    await vi.advanceTimersByTimeAsync(200)
    expect(await done).toEqual([10])
    asked.fails = new Error('broken')
    await expect(work([1])).rejects.toThrow('broken')
    expect(asked.fails).not.toBeInstanceOf(TooBusyError)
  })
  it('ends where whoever asked has gone', async () => {
    const gone = new AbortController()
    asked.busy = 99
    const done = work([1, 2, 3], gone.signal).catch((e: unknown) => e)
    gone.abort(new Error('gone'))
    await vi.advanceTimersByTimeAsync(200)
    expect(await done).toMatchObject({ message: 'gone' })
    expect(asked.jobs).toEqual([])
  })
})
