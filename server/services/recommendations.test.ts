import { describe, expect, it, vi } from 'vitest'
import type { Request } from '#core/request/request'
import type { Job } from '#server/ranking/jobs'
import { keyOf, remembering } from './recommendations'

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
  it('know a scene again in another order of its fields', () => {
    const turned = Object.fromEntries(Object.entries(ASKED).reverse()) as Request
    expect(
      keyOf(job({ ...turned, light: { at: { longitude: -84, latitude: 34, time: at.time }, sky: 'clear' } })),
    ).toBe(keyOf(job(ASKED)))
  })
  it('are worked out once, also while they are being worked out', async () => {
    const rank = vi.fn(async ({ asked }: Job) => `${(asked as Request).lure}!`)
    const answer = remembering(rank)
    expect(await Promise.all([answer(job(ASKED)), answer(job(ASKED))])).toEqual(['jerkbait!', 'jerkbait!'])
    await answer(job({ ...ASKED }))
    expect(rank).toHaveBeenCalledTimes(1)
  })
  it('forget the least lately used past their bound, and what failed', async () => {
    const rank = vi.fn(async ({ asked }: Job) => {
      const { lure } = asked as Request
      return lure === 'craw' ? Promise.reject(new Error('no')) : lure
    })
    const answer = remembering(rank, 2)
    const of = (lure: Request['lure']) => answer(job({ ...ASKED, lure }))
    await of('grub')
    await of('tube')
    await of('grub')
    await of('worm')
    await of('grub')
    expect(rank).toHaveBeenCalledTimes(3)
    await of('tube')
    expect(rank).toHaveBeenCalledTimes(4)
    await expect(of('craw')).rejects.toThrow()
    await expect(of('craw')).rejects.toThrow()
    expect(rank).toHaveBeenCalledTimes(6)
  })
})
