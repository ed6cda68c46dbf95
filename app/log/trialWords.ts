import { type AllowedRatios, type Outlook, allowedRatios } from '#core/trial/outlook'
import { type Block, SETTLES, type Verdict } from '#core/trial/verdict'
import { counted } from '~/words/numbers'

type Names = Record<'a' | 'b', string>
const bitesOf = (blocks: readonly Block[], side: 'a' | 'b') => blocks.reduce((n, b) => n + b[side].bites, 0)
/** To two figures. */
const about = (casts: number) => Number(casts.toPrecision(2))

export function headline(result: Verdict | null, names: Names): string {
  if (!result) return 'Nothing to look at before the first whole pair.'
  if (result.verdict === 'too-soon') return 'Too soon to call.'
  if (result.verdict === 'alike') return 'Alike: no difference you would notice.'
  return `${names[result.verdict]}, and looking early did not fool you.`
}

/** What the whole pairs show. */
export function account({ evidence }: Verdict, blocks: readonly Block[], names: Names): string {
  const bites = `In whole pairs ${names.a} has ${counted(bitesOf(blocks, 'a'), 'bite')} and ${names.b} `
  const odds = `A fair bet that they differ stands at ${evidence.toFixed(1)}; at ${SETTLES} it is settled.`
  return `${bites}${bitesOf(blocks, 'b')}. ${odds}`
}

/** How long it may take, from what may follow; else from the verdict's own forecast. */
export function howLong({ verdict, moreCasts }: Verdict, outlook: Outlook | null): string {
  if (verdict !== 'too-soon') return ''
  if (!outlook)
    return moreCasts === null
      ? 'If it goes on as it has it takes more casts than a season holds.'
      : `About ${moreCasts} more casts if it goes on as it has; after so few pairs that is hardly a guess.`
  const { halfCasts, unsettled, followedCasts } = outlook
  const tenths = Math.round(10 * unsettled)
  const half =
    halfCasts === null
      ? `More often than not ${followedCasts} more casts would not settle it.`
      : `Settled in half of all cases within about ${about(halfCasts)} more casts.`
  if (halfCasts === null || tenths === 0) return half
  return `${half} ${tenths} times in 10 even ${followedCasts} would not settle it.`
}

const times = (ratio: number) => `${Number(ratio.toPrecision(2))} times`

/** What is ruled out so far, 19 to 1. */
export function ruledOut({ low, high }: AllowedRatios, names: Names): string {
  const more = (side: 'a' | 'b', ratio: number) => `more than ${times(ratio)} the bites on ${names[side]}`
  const out = [...(high === null ? [] : [more('a', high)]), ...(low === null ? [] : [more('b', 1 / low)])]
  if (low !== null && low >= 1)
    return `Ruled out, 19 to 1: ${names.b} doing as well${high === null ? '' : `, and ${more('a', high)}`}.`
  if (high !== null && high <= 1)
    return `Ruled out, 19 to 1: ${names.a} doing as well${low === null ? '' : `, and ${more('b', 1 / low)}`}.`
  return out.length ? `Ruled out, 19 to 1: ${out.join(', and ')}.` : 'Nothing is ruled out yet.'
}

/** A point of the picture of what is ruled out: ratios a to b after so many casts. */
export interface AllowedAt {
  casts: number
  low: number | null
  high: number | null
  /** Bites on a to bites on b, half a bite added to each. */
  ratio: number
}

const castsOf = (blocks: readonly Block[]) => blocks.reduce((n, b) => n + b.a.casts + b.b.casts, 0)

/** What was not ruled out after each whole pair, and what would not be if it went on as it has. */
export function allowedThrough(blocks: readonly Block[]): { past: AllowedAt[]; toCome: AllowedAt[] } {
  const at = (some: readonly Block[], more = 1): AllowedAt => ({
    casts: castsOf(some) * more,
    ...allowedRatios(some, more),
    ratio: (bitesOf(some, 'a') + 0.5) / (bitesOf(some, 'b') + 0.5),
  })
  const past = blocks.map((_, i) => at(blocks.slice(0, i + 1)))
  const toCome = blocks.length ? FURTHER.map(more => at(blocks, more)) : []
  return { past, toCome }
}
const FURTHER = Array.from({ length: 25 }, (_, i) => 1 + i / 6)
