import { computed } from 'vue'
import { outlookOf } from '#core/trial/outlook'
import { trialVerdict } from '#core/trial/verdict'
import type { TripRecord } from '#shared/schema/record'
import { cap } from '~/words/options'
import { alike } from './alike'
import { rodWords } from './pair'
import { blocksOf, trialOf } from './trial'
import { account, headline, howLong } from './trialWords'
import { type Tap, crewOf } from './trip'

/** A fair test read from its taps: where it has come to, and what its whole pairs show, in words. */
export function useTrial(trip: () => TripRecord, taps: () => readonly Tap[]) {
  const test = computed(() => trialOf(trip(), taps()))
  // A tap within a pair moves no whole one: what they show is not worked out anew for it.
  const blocks = alike(() => blocksOf(trip(), test.value.spells))
  const result = computed(() => (blocks.value.length ? trialVerdict(blocks.value) : null))
  const crew = computed(() => crewOf(trip()))
  const rod = (side: 'a' | 'b') => trip().rods[side === 'a' ? 0 : 1]!
  const names = computed(() => {
    const named = (side: 'a' | 'b') => cap(rodWords(rod(side), trip().trial!.differs))
    return { a: named('a'), b: named('b') }
  })
  const said = computed(() => headline(result.value, names.value))
  const longer = computed(() =>
    result.value ? howLong(result.value, outlookOf(blocks.value, trip().trial!.seed)) : '',
  )
  const shows = computed(() => (result.value ? account(result.value, blocks.value, names.value) : ''))
  return { test, blocks, result, crew, rod, names, said, longer, shows }
}
