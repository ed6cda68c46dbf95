import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { admissionFull, admitted } from './admission'
import { type LaneSettings, TooBusyError, makeLane } from './lane'

beforeEach(() => vi.useFakeTimers())
afterEach(() => vi.useRealTimers())

const settings: LaneSettings = { threads: 1, mostWaitMs: 2000, mostOfOne: 5, typicalMs: 100 }
const lane = (patch: Partial<LaneSettings> = {}) => makeLane({ ...settings, ...patch }, () => Date.now())
const lasting = (ms: number, done: () => void = () => {}) =>
  new Promise<void>(resolve => setTimeout(() => (done(), resolve()), ms))
const kindOf = (work: Promise<unknown>) => work.then(() => 'done').catch((e: Error) => e.constructor.name)

describe('turns of devices', () => {
  it('go round, however many jobs one of them has', async () => {
    const order: string[] = []
    const here = lane()
    const run = (device: string, name: string) => here.run(device, () => lasting(10, () => order.push(name)))
    const all = [...['a1', 'a2', 'a3', 'a4'].map(n => run('a', n)), run('b', 'b1'), run('c', 'c1'), run('b', 'b2')]
    await vi.advanceTimersByTimeAsync(200)
    await Promise.all(all)
    expect(order).toEqual(['a1', 'a2', 'b1', 'c1', 'a3', 'b2', 'a4'])
    expect(here.waiting).toBe(0)
  })
  it('are refused at once where a device has enough, or all would wait too long', async () => {
    const here = lane({ mostWaitMs: 250 })
    const jobs = Array.from({ length: 4 }, (_, i) => kindOf(here.run(String(i), () => lasting(60))))
    await expect(kindOf(here.run('x', () => lasting(1)))).resolves.toBe('TooBusyError')
    expect([here.refuses('x'), here.waiting]).toEqual([true, 3])
    await vi.advanceTimersByTimeAsync(1000)
    expect(await Promise.all(jobs)).toEqual(['done', 'done', 'done', 'done'])
    const many = Array.from({ length: 7 }, () => kindOf(lane1.run('a', () => lasting(1))))
    await vi.advanceTimersByTimeAsync(100)
    expect((await Promise.all(many)).filter(k => k === 'TooBusyError')).toHaveLength(1)
  })
  const lane1 = lane()
  it('are given up by time, and by who hangs up, which leaves no hole', async () => {
    const here = lane({ mostWaitMs: 300, typicalMs: 1 })
    const long = here.run('a', () => lasting(1000))
    const late = kindOf(here.run('b', () => lasting(1)))
    const gone = new AbortController()
    const left = here.run('c', () => lasting(1), gone.signal).catch((e: Error) => e.message)
    gone.abort(new Error('gone'))
    expect(await left).toBe('gone')
    await vi.advanceTimersByTimeAsync(400)
    expect(await late).toBe(TooBusyError.name)
    await vi.advanceTimersByTimeAsync(700)
    await long
    const next = here.run('d', () => lasting(5))
    await vi.advanceTimersByTimeAsync(10)
    await next
    expect(here.waiting).toBe(0)
  })
})

describe('long work', () => {
  it('of a device is done one at a time, two wait, and more are refused; another device is let in', async () => {
    let running = 0
    let most = 0
    const work = async () => {
      most = Math.max(most, ++running)
      await lasting(50)
      running--
    }
    const mine = [1, 2, 3].map(() => kindOf(admitted('mine', work)))
    expect(admissionFull('mine')).toBe(true)
    expect(await kindOf(admitted('mine', work))).toBe('TooBusyError')
    await vi.advanceTimersByTimeAsync(200)
    expect([await Promise.all(mine), most]).toEqual([['done', 'done', 'done'], 1])
    const broken = kindOf(admitted('mine', () => Promise.reject(new RangeError('no'))))
    const after = kindOf(admitted('mine', work))
    await vi.advanceTimersByTimeAsync(60)
    expect([await broken, await after, admissionFull('mine')]).toEqual(['RangeError', 'done', false])
  })
})
