import { type EffectScope, effectScope, nextTick, shallowRef } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Row, ScreenAsk, ScreenModel } from './model'
import { useScreen } from './useScreen'

/** What the worker has been asked, and how it answers each. */
const asked: { ask: ScreenAsk; answer: (given: unknown) => void; fail: () => void }[] = []
const ended = vi.fn()
const client = () => ({
  api: {
    screen: (ask: ScreenAsk) =>
      new Promise<ScreenModel>((answer, reject) =>
        asked.push({ ask, answer: given => answer(given as ScreenModel), fail: () => reject(new Error('no worker')) }),
      ),
  },
  end: ended,
})

const FRAME_MS = 16
const rows = (...ids: string[]) => ids.map(id => ({ finishId: id, same: [`${id}.like`] }) as unknown as Row)
const whole = (selectedId: string, ...ids: string[]) =>
  ({ lure: 'frog', selectedId, rows: rows(...ids), looks: ids.length }) as unknown as ScreenModel

let scope: EffectScope
beforeEach(() => {
  vi.useFakeTimers()
  vi.stubGlobal('requestAnimationFrame', (next: (began: number) => void) =>
    setTimeout(() => next(performance.now()), FRAME_MS),
  )
  // The answers are provided to the parts of a screen; here there are none.
  vi.spyOn(console, 'warn').mockImplementation(() => {})
  scope = effectScope()
  asked.length = 0
  ended.mockClear()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
})

const frames = (n: number) => vi.advanceTimersByTimeAsync(n * FRAME_MS + 1)
function screenOf(draft = false) {
  const question = (selectedId: string | null, held: boolean) =>
    ({ request: { lure: 'frog' }, selectedId, draft: held, waterId: null }) as unknown as ReturnType<
      Parameters<typeof useScreen>[0]
    >
  const asks = shallowRef(question(null, draft))
  const made = scope.run(() => useScreen(() => asks.value, client))!
  const change = async (selectedId: string, held = false) => {
    asks.value = question(selectedId, held)
    await nextTick()
  }
  return { ...made, change }
}

describe('the screen', () => {
  it('asks at once, then for the last of what came meanwhile', async () => {
    const s = screenOf()
    for (const id of ['a', 'b', 'c']) await s.change(id)
    expect(asked.map(a => a.ask.selectedId)).toEqual([null])
    asked[0]!.answer(whole('clear', 'x'))
    await frames(4)
    expect(asked.map(a => a.ask.selectedId)).toEqual([null, 'c'])
  })
  it('shows an answer part by part, a frame each: water and picture, list, rods, plate', async () => {
    const s = screenOf()
    asked[0]!.answer(whole('clear', 'x'))
    const parts = () => [s.water, s.screen, s.list, s.rods, s.plate].map(part => Number(part.value !== null)).join('')
    const seen: string[] = []
    for (let i = 0; i < 4; i++) {
      await vi.advanceTimersByTimeAsync(i ? FRAME_MS : 0)
      seen.push(parts())
    }
    expect(seen).toEqual(['11000', '11100', '11110', '11111'])
  })
  it('asks under a finger for the rows in sight, puts them among the others and leaves the plate', async () => {
    const s = screenOf()
    s.inSight.value = { first: 1, count: 2 }
    asked[0]!.answer(whole('clear', 'p', 'q', 'r', 's'))
    await frames(4)
    const before = s.plate.value
    await s.change('q', true)
    expect(asked[1]!.ask.draftRows).toEqual([1, 3])
    const drafted = rows('Q', 'r').map(r => ({ ...r, same: [] as string[] }))
    asked[1]!.answer({ lure: 'frog', selectedId: 'murky', rows: drafted, looks: 3 })
    await frames(12)
    expect(s.screen.value!.selectedId).toBe('murky')
    // What is the same to the fish is as it was, and nothing where the finish was not in the list.
    expect(s.screen.value!.rows.map(r => [r.finishId, r.same])).toEqual([
      ['p', ['p.like']],
      ['Q', []],
      ['r', ['r.like']],
    ])
    expect(s.list.value!.fresh).toBe(Infinity)
    expect(s.plate.value).toBe(before)
  })
  it('asks for the first ten where nobody said what is in sight, and for all once the finger is off', async () => {
    const s = screenOf()
    asked[0]!.answer(whole('clear', 'p'))
    await frames(4)
    await s.change('p', true)
    asked[1]!.answer({ lure: 'frog', selectedId: 'murky', rows: [], looks: 1 })
    await frames(12)
    await s.change('p')
    expect(asked.map(a => a.ask.draftRows)).toEqual([null, [0, 10], null])
  })
  it('says when it takes long, and gives up when told to; the next change asks afresh', async () => {
    const s = screenOf()
    await vi.advanceTimersByTimeAsync(249)
    expect(s.slow.value).toBe(false)
    await vi.advanceTimersByTimeAsync(2)
    expect(s.slow.value).toBe(true)
    s.cancel()
    await frames(1)
    expect([s.slow.value, s.screen.value, ended.mock.calls.length]).toEqual([false, null, 1])
    await s.change('a')
    expect(asked).toHaveLength(2)
  })
  it('asks again in three seconds where nobody could work it out, until somebody can', async () => {
    const s = screenOf()
    asked[0]!.fail()
    await vi.advanceTimersByTimeAsync(2990)
    expect([s.failed.value, asked.length]).toEqual([true, 1])
    await vi.advanceTimersByTimeAsync(20)
    expect(asked).toHaveLength(2)
    asked[1]!.answer(whole('clear', 'x'))
    await frames(4)
    expect(s.failed.value).toBe(false)
  })
})
