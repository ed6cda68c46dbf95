import type { UnitSystem } from '#core/units'
import { TINTS, type TintId } from '#core/water/tints'
import { lengthWords, temperatureWords } from '#core/words/quantities'

/** How quantities are said to this angler. */
export interface Speech {
  length: (m: number) => string
  temperature: (c: number) => string
}

/** No parameters: a sentence that is always the same. */
export type None = Readonly<Record<never, never>>

const SPEECH: Record<UnitSystem, Speech> = {
  metric: { length: m => lengthWords(m, 'metric'), temperature: c => temperatureWords(c, 'metric') },
  us: { length: m => lengthWords(m, 'us'), temperature: c => temperatureWords(c, 'us') },
}

export const speechIn = (units: UnitSystem): Speech => SPEECH[units]

/** A noun with its article. */
export const withArticle = (noun: string) => `${/^[aeiou]/.test(noun) ? 'an' : 'a'} ${noun}`

export const cap = (s: string) => s.charAt(0).toUpperCase() + s.slice(1)
/** A finish's name within a sentence. */
export const lowerFirst = (s: string) => s.charAt(0).toLowerCase() + s.slice(1)
/** A tint as an adjective of water: "tea", "blue". */
export const tintWord = (t: TintId) => TINTS[t].name.replace(/ \(.*|-clear/, '')
