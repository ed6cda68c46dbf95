import type { Day } from '#core/day/scores'
import type { DayScores } from '#core/day/plan'
import { type Sentence, type SentenceCode, plainly } from '#core/words/sentence'

/** Cautions that come and go with the hours, by the name a day calls them. */
const HOURLY: Partial<Record<SentenceCode, string>> = {
  'day.lightning': 'lightning',
  'safety.storm': 'storm',
  'safety.cold': 'cold-water',
  'safety.night': 'dark',
  'safety.wading': 'wading',
  'safety.tide': 'tide',
  'safety.cold-stun': 'cold-stun',
  'safety.warm-release': 'heat',
  'safety.nests': 'nests',
}

export interface DayCaution {
  kind: string
  fromMin: number
  toMin: number
  sentence: Sentence
}

/** The cautions of a day, each with the hours it holds: steps that follow one another are one. */
export function cautionsOfDay({ steps }: Day, scores: DayScores): DayCaution[] {
  const out: DayCaution[] = []
  const open = new Map<SentenceCode, DayCaution>()
  steps.forEach((step, t) => {
    // What was so before the storm is taken to be so while one sits it out.
    if (step.weather.lightning) {
      for (const of of open.values()) if (of.toMin >= step.atMin) of.toMin = step.endMin
    }
    const said = step.weather.lightning ? [plainly('day.lightning')] : scores.flatMap(lane => lane[t]?.cautions ?? [])
    for (const sentence of said) {
      const kind = HOURLY[sentence.code]
      if (!kind) continue
      const known = open.get(sentence.code)
      if (known && known.toMin >= step.atMin) known.toMin = step.endMin
      else {
        const caution = { kind, fromMin: step.atMin, toMin: step.endMin, sentence }
        open.set(sentence.code, caution)
        out.push(caution)
      }
    }
  })
  return out
}
