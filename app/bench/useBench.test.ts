import { afterEach, describe, expect, it } from 'vitest'
import { comes } from '../../tests/reference/comes'
import { type EffectScope, effectScope, nextTick, ref } from 'vue'
import { useAnswerTo } from './useBench'

interface Ask {
  side: string
}
/** Work that is done when the test says so. */
function later() {
  const asked: { q: Ask; tell: (v: string) => void; fail: () => void }[] = []
  const work = (q: Ask) =>
    new Promise<string>((resolve, reject) => asked.push({ q, tell: resolve, fail: () => reject(new Error('away')) }))
  return { asked, work }
}
let scope: EffectScope
function answers(first: string | null) {
  scope = effectScope()
  const { asked, work } = later()
  const side = ref(first)
  const ask = () => (side.value === null ? null : { side: side.value })
  return { asked, side, ...scope.run(() => useAnswerTo(work, ask))! }
}
const sides = (asked: { q: Ask }[]) => asked.map(({ q }) => q.side)
afterEach(() => scope.stop())

describe('an answer of the bench', () => {
  it('comes for what is asked, and is none where nothing is', async () => {
    const { asked, answer, side } = answers('level')
    expect(sides(asked)).toEqual(['level'])
    asked[0]!.tell('a')
    await comes(() => expect(answer.value).toBe('a'))
    side.value = null
    await comes(() => expect(answer.value).toBeNull())
    expect(asked).toHaveLength(1)
  })
  it('is asked for one at a time, and only the newest question after the one under way', async () => {
    const { asked, answer, side } = answers('level')
    for (const next of ['below', 'above', 'below']) {
      side.value = next
      await nextTick()
    }
    expect(asked).toHaveLength(1)
    asked[0]!.tell('old')
    await comes(() => expect(sides(asked)).toEqual(['level', 'below']))
    // What is older than the newest question is never shown.
    expect(answer.value).toBeNull()
    asked[1]!.tell('new')
    await comes(() => expect(answer.value).toBe('new'))
    expect(asked).toHaveLength(2)
  })
  it('that failed says so until the next is there', async () => {
    const { asked, answer, failed, run } = answers('level')
    asked[0]!.fail()
    await comes(() => expect(failed.value).toBe(true))
    expect(answer.value).toBeNull()
    void run()
    await comes(() => expect(asked).toHaveLength(2))
    asked[1]!.tell('there')
    await comes(() => expect([answer.value, failed.value]).toEqual(['there', false]))
  })
})
