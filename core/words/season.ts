import type { LureId } from '#core/lure/types'
import { SCHOOLS, type SchoolId } from '#core/words/schools'
import { timesWords } from '#core/words/quantities'
import { type None, lowerFirst } from '#core/words/wording'

/** Times its fellows, with eight in ten between. */
interface Shown {
  times: number
  low: number
  high: number
}
const times = (v: number) => (v < 1.95 ? `${v.toFixed(1).replace(/\.0$/, '')} times` : timesWords(v))
const between = (p: Shown) => `${times(p.times)} its fellows, eight in ten ${p.low.toFixed(2)} to ${p.high.toFixed(2)}`
const more = (bites: number | null) =>
  bites === null ? 'more than a season’s to be sure' : bites > 0 ? `about ${bites} more to be sure` : 'enough to say so'

/** What an angler's log says. */
export const SEASON_WORDS = {
  'season.silent': ({ bites, least }: { bites: number; least: number }) =>
    `${bites} compared bites: below ${least} the log says nothing.`,
  'season.finish': (p: Shown & { finish: string; lure: LureId; bites: number; more: number | null }) =>
    `${p.finish}: ${between(p)}. ${p.bites} bites say so; ${more(p.more)}.`,
  'season.group': (p: Shown & { name: string; bites: number; more: number | null }) =>
    `${p.name}: ${between(p)}. ${p.bites} bites say so; ${more(p.more)}.`,
  'season.table-misleads': (p: { finish: string; plain: number; times: number }) => {
    const beside = `against rods beside it ${times(p.times)}`
    return `By bites an hour ${lowerFirst(p.finish)} leads, ${times(p.plain)}; ${beside}.`
  },
  'season.unpaired': ({ share }: { share: number }) =>
    `${Math.round(100 * share)} % of your bites came with no other rod tried in that half-hour: ` +
    'they tell of the place alone.',
  'season.place': (p: Shown & { spot: string; trips: number }) =>
    `${p.spot}: ${between(p)}, over ${p.trips} trips, on the days you went.`,
  'season.weights-stand': (_: { evidence: number; bites: number }) => 'No reason to change the weights.',
  'season.weights-lean': ({ school, shift, share }: { school: SchoolId; shift: number; share: number }) =>
    `Leaned ${Math.round(100 * share)} % of the way: ${lowerFirst(SCHOOLS[school].words)} ${shift.toFixed(2)} more.`,
  'season.weights-earned': ({ school, shift }: { school: SchoolId; shift: number; evidence: number }) =>
    `Your log has earned a change: ${lowerFirst(SCHOOLS[school].words)} ${shift.toFixed(2)} more.`,
  'season.leaned': ({ towards }: { towards: boolean }) =>
    towards ? 'Your log leans towards it.' : 'Your log leans away from it.',
  'season.swap': (_: None) =>
    'Change rods every ten minutes by the draw: two and a half times as many of your bites then count.',
} as const
