import { QUARRELS, quarrelsOf } from '../../tests/advice/quarrels'
import { requests } from '../../tests/advice/grid'
import { recommend } from '#core/ranking/recommend'
import { table } from './timing'

/** Answers drawn, and the seed they are drawn by. */
const DRAWN = { answers: 4008, seed: 35 }

/** How many answers hold a sentence that quarrels, class by class, with one that was said. */
export function benchSentences(): void {
  const found = new Map(Object.keys(QUARRELS).map(q => [q, { answers: 0, said: '' }]))
  for (const r of requests(DRAWN.answers, DRAWN.seed)) {
    const seen = new Set<string>()
    for (const { quarrel, said } of quarrelsOf(r, recommend(r))) {
      const of = found.get(quarrel)!
      if (!seen.has(quarrel)) of.answers++
      seen.add(quarrel)
      of.said ||= said
    }
  }
  table(
    `Sentences that quarrel, in ${DRAWN.answers} answers (target: none)`,
    ['class', 'answers', 'for one'],
    [...found].map(([q, { answers, said }]) => [q, String(answers), said.slice(0, 90)]),
  )
}
