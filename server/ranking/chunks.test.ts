import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Job } from './jobs'
import { FaultyError, inChunks } from './chunks'

const asked = vi.hoisted(() => ({ jobs: [] as unknown[], fails: null as Error | null, faults: false }))
vi.mock('./pool', () => ({
  workInThread: async (job: { some: number[] }) => {
    if (asked.fails) throw asked.fails
    asked.jobs.push(job)
    const fault = { path: 'x', code: 'y', message: 'z' }
    return asked.faults ? { faults: [fault] } : { text: JSON.stringify(job.some.map(n => 10 * n)) }
  },
}))
const jobOf = (some: readonly number[], from: number) => ({ some, from }) as unknown as Job
const work = (items: number[], signal = new AbortController().signal) =>
  inChunks<number, number>(items, 2, jobOf, { device: 'a', signal })

beforeEach(() => Object.assign(asked, { jobs: [], fails: null, faults: false }))

describe('long work in chunks', () => {
  it('comes in order, a chunk at a time, whatever is left over', async () => {
    expect(await work([1, 2, 3, 4, 5])).toEqual([10, 20, 30, 40, 50])
    expect(asked.jobs).toEqual([
      { some: [1, 2], from: 0 },
      { some: [3, 4], from: 2 },
      { some: [5], from: 4 },
    ])
    expect(await work([])).toEqual([])
  })
  it('ends with what fails, with faults, and where whoever asked has gone', async () => {
    asked.fails = new Error('broken')
    await expect(work([1])).rejects.toThrow('broken')
    Object.assign(asked, { fails: null, faults: true })
    await expect(work([1])).rejects.toBeInstanceOf(FaultyError)
    const gone = new AbortController()
    gone.abort(new Error('gone'))
    await expect(work([1, 2, 3], gone.signal)).rejects.toThrow('gone')
    expect(asked.jobs).toHaveLength(1)
  })
})
