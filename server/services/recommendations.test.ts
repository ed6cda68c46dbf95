import { describe, expect, it, vi } from 'vitest'
import type { Request } from '#core/request/request'
import type { Job } from '#server/ranking/jobs'
import { keyOf, memoize } from './recommendations'

const job = (asked: Request) => ({ kind: 'rank', asked }) as const

const ASKED: Request = {
  lure: 'jerkbait',
  water: { visibilityM: 2, tint: 'green', prey: ['shad', 'fry'] },
  light: { sky: 'clear', at: { time: '2026-05-10T10:00:00Z', latitude: 34, longitude: -84 } },
  forage: [{ kind: 'shad', share: 0.5 }],
}
const at = ASKED.light.at!

describe('answers remembered', () => {
  it('share an answer only where all that was asked is the same, however deep it differs', () => {
    const others: Request[] = [
      { ...ASKED, water: { ...ASKED.water, visibilityM: 2.01 } },
      { ...ASKED, water: { ...ASKED.water, prey: ['fry', 'shad'] } },
      { ...ASKED, water: { ...ASKED.water, prey: ['shad'] } },
      { ...ASKED, light: { ...ASKED.light, at: { ...at, longitude: -84.001 } } },
      { ...ASKED, light: { ...ASKED.light, lamps: false } },
      { ...ASKED, forage: [{ kind: 'shad', share: 0.25 }] },
      { ...ASKED, forage: [{ kind: 'fry', share: 0.5 }] },
      { ...ASKED, fishedThrough: ['white'] },
      { ...ASKED, clues: ['fry'] },
      { ...ASKED, units: 'us' },
    ]
    const keys = [...[ASKED, ...others].map(a => keyOf(job(a))), keyOf({ kind: 'read-water', asked: { readings: [] } })]
    expect(new Set(keys).size).toBe(keys.length)
  })
  it('are asked for by anything that JSON can say', () => {
    const strange = JSON.parse('{"constructor":null,"__proto__":{"a":1},"toString":0}') as Request
    expect(keyOf(job(strange))).toContain('"constructor":null')
  })
  it('know a scene again in another order of its fields', () => {
    const turned = Object.fromEntries(Object.entries(ASKED).reverse()) as Request
    expect(
      keyOf(job({ ...turned, light: { at: { longitude: -84, latitude: 34, time: at.time }, sky: 'clear' } })),
    ).toBe(keyOf(job(ASKED)))
  })
  const rankedAs = (text: (lure: string) => string) =>
    vi.fn(async ({ asked }: Job) => ({ text: text((asked as Request).lure) }))
  it('are worked out once, also while they are being worked out', async () => {
    const rank = rankedAs(lure => `${lure}!`)
    const answer = memoize(rank)
    const one = { text: 'jerkbait!' }
    expect(await Promise.all([answer(job(ASKED), 'a'), answer(job(ASKED), 'b')])).toEqual([one, one])
    await answer(job({ ...ASKED }), 'a')
    expect(rank).toHaveBeenCalledTimes(1)
  })
  it('forget the least lately used past their bound, and what failed or was refused', async () => {
    const rank = vi.fn(async ({ asked }: Job) => {
      const { lure } = asked as Request
      if (lure === 'craw') throw new Error('no')
      return lure === 'spinnerbait' ? { faults: [] } : { text: lure }
    })
    const ofSize = keyOf(job(ASKED)).length + 8
    const answer = memoize(rank, 2 * ofSize)
    const of = (lure: Request['lure']) => answer(job({ ...ASKED, lure }), 'a')
    await of('grub')
    await of('tube')
    await of('grub')
    await of('worm')
    await of('grub')
    expect(rank).toHaveBeenCalledTimes(3)
    await of('tube')
    expect(rank).toHaveBeenCalledTimes(4)
    await expect(of('craw')).rejects.toThrow('no')
    await expect(of('craw')).rejects.toThrow('no')
    await of('spinnerbait')
    await of('spinnerbait')
    expect(rank).toHaveBeenCalledTimes(8)
  })
  it('end when the last of those who asked has hung up, and not before', async () => {
    const signals: AbortSignal[] = []
    const answer = memoize(async (_job, _device, signal) => {
      signals.push(signal!)
      return new Promise((_, reject) => signal!.addEventListener('abort', () => reject(new Error('gone'))))
    })
    const [one, other] = [new AbortController(), new AbortController()]
    const asked = [one, other].map(c => answer(job(ASKED), 'a', c.signal).catch((e: Error) => e.message))
    one.abort()
    await Promise.resolve()
    expect(signals.map(s => s.aborted)).toEqual([false])
    other.abort()
    expect(signals.map(s => s.aborted)).toEqual([true])
    expect(await Promise.all(asked)).toEqual(['gone', 'gone'])
    void answer(job(ASKED), 'a', new AbortController().signal).catch(() => {})
    expect(signals).toHaveLength(2)
  })
})
