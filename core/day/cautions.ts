import type { Day } from '#core/day/scores'
import type { DayScores } from '#core/day/plan'
import { LURES, type LureId } from '#core/lure/types'
import type { UnitSystem } from '#core/units'
import { type Sentence, type SentenceCode, plainly, say } from '#core/words/sentence'
import { cap } from '#core/words/wording'

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
  /** `lure` for hours in which a lure of the plan is outside its window. */
  kind: string
  fromMin: number
  toMin: number
  sentence: Sentence
  /** The lure it is said of, and one of the plan's others that suits those hours. */
  lure?: LureId
  instead?: LureId | null
}

/** A caution in words; of a lure, with what else of the plan to fish then. */
export function cautionText({ sentence, lure, instead }: DayCaution, units: UnitSystem): string {
  if (!lure) return say(sentence, units)
  const then = instead ? ` Fish the ${LURES[instead].words} rod then.` : ''
  return `${cap(LURES[lure].words)}: ${say(sentence, units)}${then}`
}

/** Hours in which a lure of the plan is outside its window and should change, and which of the others is not. */
export function lureHours({ steps }: Day, scores: DayScores, lures: readonly LureId[]): DayCaution[] {
  const out: { caution: DayCaution; from: number; to: number }[] = []
  lures.forEach((lure, l) => {
    const open = new Map<SentenceCode, (typeof out)[number]>()
    steps.forEach((step, t) => {
      for (const sentence of scores[l]![t]?.windows ?? []) {
        const known = open.get(sentence.code)
        if (known && known.to === t) {
          known.to = t + 1
          known.caution.toMin = step.endMin
          continue
        }
        const caution = { kind: 'lure', fromMin: step.atMin, toMin: step.endMin, sentence, lure }
        const run = { caution, from: t, to: t + 1 }
        open.set(sentence.code, run)
        out.push(run)
      }
    })
  })
  return out.map(({ caution, from, to }) => {
    const suits = lures.find((_, l) => scores[l]!.slice(from, to).every(told => !told?.windows.length))
    return { ...caution, instead: suits ?? null }
  })
}

/**
 * The cautions of a day, each with the hours it holds: steps that follow one another are one; then the hours of its
 * lures.
 */
export function cautionsOfDay(day: Day, scores: DayScores, lures: readonly LureId[]): DayCaution[] {
  const { steps } = day
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
  return [...out, ...lureHours(day, scores, lures)]
}
