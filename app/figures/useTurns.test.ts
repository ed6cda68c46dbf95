import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import { turns } from './useTurns'

let now = 0
let frames: (() => void)[] = []
/** A frame of the screen, and all that it sets off. */
async function frame(): Promise<void> {
  for (const f of frames.splice(0)) f()
  for (let i = 0; i < 60; i++) await nextTick()
}

beforeEach(() => {
  now = 0
  frames = []
  vi.stubGlobal('requestAnimationFrame', (f: () => void) => frames.push(f))
  vi.spyOn(performance, 'now').mockImplementation(() => now)
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
})

describe('figures that take turns', () => {
  it('come at once where there is no hurry', () => {
    const take = turns(ref(false))
    expect(effectScope().run(() => take(() => false))!.value).toBe(true)
    expect(frames).toHaveLength(0)
  })
  it('come in the next frames where there is, the last first, as many as there is time for', async () => {
    const take = turns(ref(true))
    const costly = () => {
      now += 1.5
      return true
    }
    const come = effectScope().run(() => Array.from({ length: 5 }, () => take(costly)))!
    expect(come.map(c => c.value)).toEqual([false, false, false, false, false])
    await frame()
    const shown = come.filter(c => c.value).length
    expect(shown).toBeGreaterThan(0)
    expect(shown).toBeLessThan(5)
    expect(come.at(-1)!.value).toBe(true)
    expect(come[0]!.value).toBe(false)
    await frame()
    await frame()
    expect(come.every(c => c.value)).toBe(true)
    await frame()
    expect(frames).toHaveLength(0)
  })
  it('wait for the end of the hurry where they cost much', async () => {
    const hurry = ref(true)
    const take = turns(hurry)
    const [dear, cheap] = effectScope().run(() => [take(() => false), take(() => true)] as const)!
    await frame()
    await frame()
    expect([dear.value, cheap.value]).toEqual([false, true])
    hurry.value = false
    await frame()
    expect(dear.value).toBe(true)
  })
  it('never come once they are gone', async () => {
    const take = turns(ref(true))
    const scope = effectScope()
    const come = scope.run(() => take(() => true))!
    scope.stop()
    await frame()
    expect(come.value).toBe(false)
    await frame()
    expect(frames).toHaveLength(0)
  })
})
