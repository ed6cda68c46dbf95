import { type Tally, bitesOf } from './trip'

/** What is tapped on the water, in the order of its targets: a miss and a landed fish count as bites too. */
export const TARGETS = [
  { what: 'bite', words: 'Bite', count: bitesOf },
  { what: 'follow', words: 'Follow', count: (t: Tally) => t.follow },
  { what: 'miss', words: 'Miss', count: (t: Tally) => t.miss },
  { what: 'landed', words: 'Landed', count: (t: Tally) => t.landed },
] as const
