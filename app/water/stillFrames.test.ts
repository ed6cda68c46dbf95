import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { stillFrames } from './stillFrames'

let waiting: ((began: number) => void)[] = []
let now = 0
/** A frame that begins at the next round time; the finger moves in it or not. */
async function frame(moves?: () => void) {
  const began = (now += 16)
  now += 1
  moves?.()
  now += 1
  waiting.splice(0).forEach(callback => callback(began))
  await Promise.resolve()
}
beforeEach(() => {
  vi.stubGlobal('requestAnimationFrame', (callback: (began: number) => void) => waiting.push(callback))
  vi.spyOn(performance, 'now').mockImplementation(() => now)
})
afterEach(() => {
  waiting = []
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
})

describe('frames in which the finger rests', () => {
  /** The frame in which what waits is let on, when the finger moves in some. */
  async function letOn(moves: boolean[], before = false) {
    const { moved, next } = stillFrames()
    if (before) await frame(moved)
    let at: number | null = null
    let i = 0
    void next().then(() => (at = i))
    for (; i < moves.length && at === null; i++) await frame(moves[i] ? moved : undefined)
    return at
  }
  it('takes the first in which it has not moved, and waits for no more than one', async () => {
    expect(await letOn([false, false])).toBe(0)
    expect(await letOn([true, false, false])).toBe(1)
    expect(await letOn([true, true, false])).toBe(1)
  })
  it('minds no movement of an earlier frame', async () => {
    expect(await letOn([false, true], true)).toBe(0)
  })
})
