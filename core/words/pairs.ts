import type { Gate } from '#core/words/lures'
import { LURES, type LureId } from '#core/lure/types'
import type { None } from '#core/words/wording'

/** What may decide between two lures that anglers swap. */
export const DECIDERS = ['cover', 'clarity', 'temperature', 'wind', 'food', 'light', 'depth'] as const
export type Decider = (typeof DECIDERS)[number]

/** Either of a pair: a lure, or the same lure with or without its knock. */
export type PairSide = LureId | 'knocking' | 'silent'
export const sideWords = (side: PairSide): string =>
  side === 'knocking' || side === 'silent' ? side : LURES[side].words

/** In what way the winner of a pair leads. */
export const LEADS = {
  cover: 'it comes through the cover better',
  found: 'in this water it is found from farther',
  look: 'it bears a closer look in water this clear',
  suits: 'it suits water like this',
  temperature: 'it suits this temperature',
  wind: 'it suits the wind',
  food: 'it can be taken for what they eat',
  size: 'its size suits them',
  light: 'it suits the light',
  depth: 'it gets to where the fish are',
} as const
export type Lead = keyof typeof LEADS

/** What keeps a lure out, as the end of a sentence. */
const KEPT_OUT: Readonly<Record<Gate, string>> = {
  cover: 'the cover holds it',
  depth: 'the depth is not for it',
  wind: 'the wind buries it',
  cold: 'it is too cold for it',
  warm: 'it is too warm for it',
  beds: 'fish sit on beds',
  clarity: 'they see too little',
  salinity: 'it is the wrong water for it',
  light: 'the light is too high for it',
}

const capital = (s: string) => s.charAt(0).toUpperCase() + s.slice(1)

/** What decides between two lures now. */
export const PAIR_WORDS = {
  'pair.wins': ({ winner, lead }: { winner: LureId; lead: Lead }) => `${capital(sideWords(winner))}: ${LEADS[lead]}.`,
  'pair.either': ({ a, b }: { a: LureId; b: LureId }) =>
    `Either: nothing here decides between ${sideWords(a)} and ${sideWords(b)}.`,
  'pair.neither': ({ a, b, gate }: { a: LureId; b: LureId; gate: Gate }) =>
    `Neither ${sideWords(a)} nor ${sideWords(b)} here: ${KEPT_OUT[gate]}.`,
  'pair.one-out': ({ winner, loser, gate }: { winner: LureId; loser: LureId; gate: Gate }) =>
    `${capital(sideWords(winner))}: the ${sideWords(loser)} is out, ${KEPT_OUT[gate]}.`,
  'pair.knock-dark': (_: None) => 'Knocking: they see little, and close by a knock can be heard.',
  'pair.knock-drum': (_: None) => 'Knocking: drum and trout hear it farther than bass do.',
  'pair.silent-clear': (_: None) => 'Silent: clear and calm, they see it long before they could hear it.',
  'pair.silent-wary': (_: None) => 'Silent, or one deep knock: fish that have heard the others rattle.',
  'pair.knock-either': (_: None) => 'Either: seen too well to need noise, not so well as to be warned by it.',
  'pair.follow-up': ({ lure }: { lure: LureId }) =>
    `After a boil or a miss: the ${sideWords(lure)} on the second rod, within seconds.`,
} as const
