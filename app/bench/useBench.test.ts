import { afterEach, describe, expect, it } from 'vitest'
import { comes } from '../../tests/reference/comes'
import { type EffectScope, effectScope, nextTick, ref } from 'vue'
import type { BenchAsk, BenchResult } from './work'
import { useAnswerTo } from './useBench'

/** A hand whose work is done when the test says so. */
function hand() {
  const asked: { q: BenchAsk; tell: (v: unknown) => void; fail: () => void }[] = []
  const work = (q: BenchAsk) =>
    new Promise<BenchResult>((resolve, reject) =>
      asked.push({ q, tell: v => resolve(v as BenchResult), fail: () => reject(new Error('away')) }),
    )
  return { asked, work }
}
let scope: EffectScope
function answers(first: string | null) {
  scope = effectScope()
  const { asked, work } = hand()
  const side = ref(first)
  const ask = () => (side.value === null ? null : ({ kind: 'bar', side: side.value } as unknown as BenchAsk))
  return { asked, side, ...scope.run(() => useAnswerTo(work, ask))! }
}
const sides = (asked: { q: BenchAsk }[]) => asked.map(({ q }) => (q as unknown as { side: string }).side)
afterEach(() => scope.stop())

describe('an answer of the bench', () => {
  it('comes for what is asked, and is none where nothing is', async () => {
    const { asked, told, side } = answers('level')
    expect(sides(asked)).toEqual(['level'])
    asked[0]!.tell('a')
    await comes(() => expect(told.value).toBe('a'))
    side.value = null
    await comes(() => expect(told.value).toBeNull())
    expect(asked).toHaveLength(1)
  })
  it('is asked for one at a time, and only the newest question after the one under way', async () => {
    const { asked, told, side } = answers('level')
    for (const next of ['below', 'above', 'below']) {
      side.value = next
      await nextTick()
    }
    expect(asked).toHaveLength(1)
    asked[0]!.tell('old')
    await comes(() => expect(sides(asked)).toEqual(['level', 'below']))
    // What is older than the newest question is never shown.
    expect(told.value).toBeNull()
    asked[1]!.tell('new')
    await comes(() => expect(told.value).toBe('new'))
    expect(asked).toHaveLength(2)
  })
  it('that failed says so until the next is there', async () => {
    const { asked, told, failed, run } = answers('level')
    asked[0]!.fail()
    await comes(() => expect(failed.value).toBe(true))
    expect(told.value).toBeNull()
    void run()
    await comes(() => expect(asked).toHaveLength(2))
    asked[1]!.tell('there')
    await comes(() => expect([told.value, failed.value]).toEqual(['there', false]))
  })
})
