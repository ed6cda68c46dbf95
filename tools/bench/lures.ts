import { lureQuarrels, lureQuestions } from '../../tests/advice/lureQuarrels'
import { asked, lureCases, missed } from '../../tests/cases/lures'
import { recommend } from '#core/ranking/recommend'
import { luresHere } from '#core/which-lure/answer'
import { medianMs, table } from './timing'

const DRAWN = { questions: 2000, seed: 39 }

/** Which lure here: cases met, sentences that quarrel, and the time of all lures beside one whole ranking. */
export function benchLures(): void {
  table(
    'Which lure here: cases met (target: all)',
    ['file', 'cases', 'met'],
    ['lures-open.json', 'lures-field.json'].map(file => {
      const cases = lureCases(file)
      return [file, String(cases.length), String(cases.filter(c => !missed(c, luresHere(asked(c))).length).length)]
    }),
  )
  const quarrels = new Map<string, { count: number; said: string }>()
  for (const question of lureQuestions(DRAWN.questions, DRAWN.seed, 4)) {
    for (const quarrel of lureQuarrels(question, luresHere(question))) {
      const [name] = quarrel.split(/[,:]/)
      const of = quarrels.get(name!) ?? { count: 0, said: quarrel }
      quarrels.set(name!, { ...of, count: of.count + 1 })
    }
  }
  const rows = [...quarrels].map(([name, { count, said }]) => [name, String(count), said.slice(0, 100)])
  table(
    `Sentences that quarrel, in ${DRAWN.questions} answers of four lures (target: none)`,
    ['class', 'times', 'for one'],
    rows.length ? rows : [['none', '0', '']],
  )
  const [grass] = lureCases('lures-open.json').map(asked)
  const at = (i: number) => ({ ...grass!, water: { ...grass!.water, visibilityM: 0.7 + i / 100 } })
  const all = medianMs(i => luresHere(at(i)), 15, 6)
  const one = medianMs(i => recommend({ ...at(i + 40), lure: 'swim-jig' }), 15, 6)
  table(
    'Time (target: 60 ms where a whole answer takes 6)',
    ['of', 'ms', 'times one answer'],
    [
      ['all lures of the water', all, all / one],
      ['one whole answer', one, 1],
    ],
  )
}
