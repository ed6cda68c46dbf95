import { rounded } from '#core/numeric/rounded'
import type { UnitSystem } from '#core/units'
import { ADVISORY_WORDS } from '#core/words/advisories'
import { ASSUMPTION_WORDS } from '#core/words/assumptions'
import { BENCH_WORDS } from '#core/words/bench'
import { DAY_WORDS } from '#core/words/day'
import { LURE_WORDS } from '#core/words/lures'
import { PAIR_WORDS } from '#core/words/pairs'
import { PICK_WORDS } from '#core/words/picks'
import { READING_WORDS } from '#core/words/readings'
import { REASON_WORDS } from '#core/words/reasons'
import { SEASON_WORDS } from '#core/words/season'
import { type Speech, speechIn } from '#core/words/wording'

const WORDS = {
  ...REASON_WORDS,
  ...ADVISORY_WORDS,
  ...PICK_WORDS,
  ...ASSUMPTION_WORDS,
  ...READING_WORDS,
  ...DAY_WORDS,
  ...BENCH_WORDS,
  ...SEASON_WORDS,
  ...LURE_WORDS,
  ...PAIR_WORDS,
} as const
type Words = typeof WORDS

/** Every code the engine can say; what each means in English stands in this room and nowhere else. */
export type SentenceCode = keyof Words
/** The parameters a code is worded with. */
export type ParamsOf<C extends SentenceCode> = Parameters<Words[C]>[0]

/** Something to be said: a code for programs, with the figures and names that go into it. Figures are metric. */
export type Sentence = { [C in SentenceCode]: { code: C; params: ParamsOf<C> } }[SentenceCode]
/** The codes that are said without parameters. */
export type PlainCode = { [C in SentenceCode]: object extends ParamsOf<C> ? C : never }[SentenceCode]

export const SENTENCE_CODES = Object.keys(WORDS) as SentenceCode[]

/** A sentence of a code that needs no parameters. */
export const plainly = (code: PlainCode) => ({ code, params: {} }) as Sentence

/** The sentence in English, in the angler's units. */
export function say({ code, params }: Sentence, units: UnitSystem): string {
  return (WORDS[code] as (p: unknown, s: Speech) => string)(params, speechIn(units))
}

/** A sentence as the contract gives it: its code and parameters with the words. */
export interface Said {
  code: SentenceCode
  params: object
  text: string
}

/** Parameters to four decimals, as the contract gives figures. */
function shortened(params: object): object {
  const out: Record<string, unknown> = { ...params }
  for (const key in out) if (typeof out[key] === 'number') out[key] = rounded(out[key])
  return out
}

/** A sentence as data for programs, its figures rounded. */
export const codeOf = ({ code, params }: Sentence) => ({ code, params: shortened(params) })

export const said = (sentence: Sentence, units: UnitSystem): Said => ({
  ...codeOf(sentence),
  text: say(sentence, units),
})
