import { describe, expect, it } from 'vitest'
import { type Drill, drillOf } from '#core/bench/drills'
import { TOPICS } from '#core/words/drills'
import { recommend } from '#core/ranking/recommend'
import { say } from '#core/words/sentence'

/** Questions of each topic: more than two thousand in all. */
const EACH = 170

/** What the engine's own answer to the question's scene says, by ways the questions are not made by. */
function rightByEngine({ facts, options, right, topic }: Drill): boolean {
  if (facts.kind !== 'scene') return right >= 0 && right < options.length
  const answer = recommend({ ...facts.request, limit: 60 })
  const of = (id: string) => answer.ranked.find(r => r.finish.id === id)!
  const chosen = options[right]!
  const three = facts.finishIds.map(of)
  if (chosen.kind === 'pair') {
    const [a, b] = chosen.places.map(i => facts.finishIds[i]!)
    const third = facts.finishIds.find(id => id !== a && id !== b)!
    const alike = answer.lookAlikes.filter(g => g.includes(third))
    return alike.every(g => !g.includes(a!) && !g.includes(b!))
  }
  const it = of((chosen as { finishId: string }).finishId)
  const others = three.filter(r => r !== it)
  return topic.startsWith('first')
    ? others.every(o => o.sightingRangeM.level > it.sightingRangeM.level)
    : others.every(o => o.score > 0 && o.score < it.score && o.place > it.place)
}

describe('the drills', () => {
  it.each(TOPICS)('of %s are right by the engine, no toss-ups, the same from the same seed', topic => {
    const places = new Set<number>()
    for (let i = 0; i < EACH; i++) {
      const drill = drillOf(topic, 1000 + 37 * i, (i % 10) / 9, 'metric')
      places.add(drill.right)
      expect(drill.margin).toBeGreaterThanOrEqual(1)
      expect(drill.options).toHaveLength(3)
      expect(new Set(drill.options.map(o => JSON.stringify(o))).size).toBe(3)
      expect(rightByEngine(drill)).toBe(true)
      expect(say(drill.because, 'us')).not.toMatch(/undefined|NaN/)
    }
    expect(drillOf(topic, 1003, 0.4, 'us')).toEqual(drillOf(topic, 1003, 0.4, 'us'))
    // The right one stands anywhere.
    expect(places.size).toBeGreaterThan(1)
  })
})
