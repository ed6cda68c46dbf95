import { describe, expect, it, vi } from 'vitest'
import type { ScreenAsk, ScreenModel } from './model'
import { type Hand, workerHand } from './workerHand'

type Work = Hand<ScreenAsk, ScreenModel>
const ASK = { selectedId: 'x' } as ScreenAsk
const answer = (from: string) => ({ selectedId: from }) as ScreenModel

/** A worker that does what it is told to: answers, breaks while it works, or never answers. */
function fakeHand(does: 'answers' | 'breaks' | 'rejects'): Work & { ended: () => boolean } {
  let tell = () => {}
  let ended = false
  return {
    work: () => {
      if (does === 'answers') return Promise.resolve(answer('worker'))
      if (does === 'rejects') return Promise.reject(new Error('a fault in the engine'))
      queueMicrotask(() => tell())
      return new Promise(() => {})
    },
    onBroken: t => (tell = t),
    end: () => (ended = true),
    ended: () => ended,
  }
}
const onPage = () => Promise.resolve(answer('page'))

describe('who works out the screen', () => {
  it('is one worker for all asks while it holds', async () => {
    const make = vi.fn(() => fakeHand('answers'))
    const { work } = workerHand(make, onPage)
    expect(await work(ASK)).toEqual(answer('worker'))
    expect(await work(ASK)).toEqual(answer('worker'))
    expect(make).toHaveBeenCalledTimes(1)
  })
  it('is the page at once where workers are refused', async () => {
    const make = vi.fn((): Work => {
      throw new DOMException('refused')
    })
    const { work } = workerHand(make, onPage)
    expect(await work(ASK)).toEqual(answer('page'))
    expect(await work(ASK)).toEqual(answer('page'))
    expect(make).toHaveBeenCalledTimes(2)
  })
  it('is a second worker when the first breaks, with what the first left undone', async () => {
    const hands = [fakeHand('breaks'), fakeHand('answers')]
    const make = vi.fn(() => hands[make.mock.calls.length - 1]!)
    const { work } = workerHand(make, onPage)
    expect(await work(ASK)).toEqual(answer('worker'))
    expect(hands[0]!.ended()).toBe(true)
    expect(hands[1]!.ended()).toBe(false)
  })
  it.each(['breaks', 'rejects'] as const)('is the page once two workers have failed (%s)', async does => {
    const make = vi.fn(() => fakeHand(does))
    const { work } = workerHand(make, onPage)
    expect(await work(ASK)).toEqual(answer('page'))
    expect(await work(ASK)).toEqual(answer('page'))
    expect(make).toHaveBeenCalledTimes(2)
  })
  it('is a second worker when the first stays silent, and only then', async () => {
    vi.useFakeTimers()
    try {
      const silent: Work = { work: () => new Promise(() => {}), onBroken: () => {}, end: vi.fn() }
      const hands = [silent, fakeHand('answers')]
      const make = vi.fn(() => hands[make.mock.calls.length - 1]!)
      const { work } = workerHand(make, onPage)
      const got = work(ASK)
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
    const { work } = workerHand(
      () => fakeHand('breaks'),
      () => Promise.reject(new Error('no code')),
    )
    await expect(work(ASK)).rejects.toThrow('no code')
  })
  it('makes a new worker after it was ended', async () => {
    const make = vi.fn(() => fakeHand('answers'))
    const { work, end } = workerHand(make, onPage)
    await work(ASK)
    end()
    await work(ASK)
    expect(make).toHaveBeenCalledTimes(2)
  })
})
