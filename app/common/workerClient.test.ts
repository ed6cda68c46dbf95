import { describe, expect, it, vi } from 'vitest'
import type { ScreenAsk, ScreenModel } from '~/water/model'
import { type WorkerLink, workerClient } from './workerClient'

interface Api {
  screen: (ask: ScreenAsk) => Promise<ScreenModel>
}
type Work = WorkerLink<Api>
const ASK = { selectedId: 'x' } as ScreenAsk
const answer = (from: string) => ({ selectedId: from }) as ScreenModel

/** A worker that does what it is told to: answers, breaks while it works, or never answers. */
function fakeWorker(does: 'answers' | 'breaks' | 'rejects'): Work & { ended: () => boolean } {
  let tell = () => {}
  let ended = false
  return {
    api: {
      screen: () => {
        if (does === 'answers') return Promise.resolve(answer('worker'))
        if (does === 'rejects') return Promise.reject(new Error('a fault in the engine'))
        queueMicrotask(() => tell())
        return new Promise(() => {})
      },
    },
    onBroken: t => (tell = t),
    end: () => (ended = true),
    ended: () => ended,
  }
}
const onPage = () => Promise.resolve({ screen: () => Promise.resolve(answer('page')) })

describe('who works out the screen', () => {
  it('is one worker for all asks while it holds', async () => {
    const make = vi.fn(() => fakeWorker('answers'))
    const { api } = workerClient(make, onPage)
    expect(await api.screen(ASK)).toEqual(answer('worker'))
    expect(await api.screen(ASK)).toEqual(answer('worker'))
    expect(make).toHaveBeenCalledTimes(1)
  })
  it('is the page at once where workers are refused', async () => {
    const make = vi.fn((): Work => {
      throw new DOMException('refused')
    })
    const { api } = workerClient(make, onPage)
    expect(await api.screen(ASK)).toEqual(answer('page'))
    expect(await api.screen(ASK)).toEqual(answer('page'))
    expect(make).toHaveBeenCalledTimes(2)
  })
  it('is a second worker when the first breaks, with what the first left undone', async () => {
    const workers = [fakeWorker('breaks'), fakeWorker('answers')]
    const make = vi.fn(() => workers[make.mock.calls.length - 1]!)
    const { api } = workerClient(make, onPage)
    expect(await api.screen(ASK)).toEqual(answer('worker'))
    expect(workers[0]!.ended()).toBe(true)
    expect(workers[1]!.ended()).toBe(false)
  })
  it.each(['breaks', 'rejects'] as const)('is the page once two workers have failed (%s)', async does => {
    const make = vi.fn(() => fakeWorker(does))
    const { api } = workerClient(make, onPage)
    expect(await api.screen(ASK)).toEqual(answer('page'))
    expect(await api.screen(ASK)).toEqual(answer('page'))
    expect(make).toHaveBeenCalledTimes(2)
  })
  it('is a second worker when the first stays silent, and only then', async () => {
    vi.useFakeTimers()
    try {
      const silent: Work = { api: { screen: () => new Promise(() => {}) }, onBroken: () => {}, end: vi.fn() }
      const workers = [silent, fakeWorker('answers')]
      const make = vi.fn(() => workers[make.mock.calls.length - 1]!)
      const { api } = workerClient(make, onPage)
      const got = api.screen(ASK)
      await vi.advanceTimersByTimeAsync(7900)
      expect(make).toHaveBeenCalledTimes(1)
      await vi.advanceTimersByTimeAsync(200)
      expect(await got).toEqual(answer('worker'))
      expect(silent.end).toHaveBeenCalled()
      expect(vi.getTimerCount()).toBe(0)
    } finally {
      vi.useRealTimers()
    }
  })
  it('says so where even the page cannot', async () => {
    const { api } = workerClient(
      () => fakeWorker('breaks'),
      () => Promise.reject(new Error('no code')),
    )
    await expect(api.screen(ASK)).rejects.toThrow('no code')
  })
  it('makes a new worker after it was ended', async () => {
    const make = vi.fn(() => fakeWorker('answers'))
    const { api, end } = workerClient(make, onPage)
    await api.screen(ASK)
    end()
    await api.screen(ASK)
    expect(make).toHaveBeenCalledTimes(2)
  })
})
