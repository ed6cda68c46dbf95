<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { finishById } from '#core/lure/finish'
import type { ShareInput } from '#shared/schema/share'
import { useFinish } from '~/box/useFinish'
import type { TripRecord } from '#shared/schema/record'
import type { Tap } from './trip'
import { useTrial } from './useTrial'
import { counted } from '~/words/numbers'
import HandFigure from '~/figures/HandFigure.vue'
import TrialRoute from './TrialRoute.vue'

// The drawing of charts is not needed to tap.
const ShareButton = defineAsyncComponent(() => import('~/yours/ShareButton.vue'))
const TrialRuledOut = defineAsyncComponent(() => import('./TrialRuledOut.vue'))

/** What a fair test has come to: its order and bites, what is ruled out, and the verdict; under way or long over. */
const props = defineProps<{
  trip: TripRecord
  taps: readonly Tap[]
  /** Its route stands elsewhere. */
  short?: boolean
}>()
const { finishOf } = useFinish()
const { test, blocks, result, crew, rod, names, said, longer, shows } = useTrial(
  () => props.trip,
  () => props.taps,
)
const sums = computed(() => {
  const of = (side: 'a' | 'b') => {
    const mine = test.value.spells.filter(s => s.side === side)
    return { casts: mine.reduce((n, s) => n + s.casts, 0), bites: mine.reduce((n, s) => n + s.bites, 0) }
  }
  return { a: of('a'), b: of('b') }
})
const ids = computed(() => (['a', 'b'] as const).map(side => rod(side).finishId) as [string, string])
const canShare = computed(() => blocks.value.length > 0 && ids.value.every(id => finishById(id)))
const sharing = (): ShareInput => ({
  kind: 'verdict',
  finishIds: ids.value,
  blocks: blocks.value.map(({ a, b }) => ({ a: { ...a }, b: { ...b } })),
})
const per100 = ({ casts, bites }: { casts: number; bites: number }) =>
  casts ? (Math.round((1000 * bites) / casts) / 10).toFixed(1) : '–'
const route = computed(() => ({
  trial: test.value,
  per: props.trip.trial!.castsPerSpell,
  crew: crew.value,
  names: names.value,
}))
const block = computed(() => test.value.spells.find(s => s.turn === test.value.now)?.block ?? null)
</script>

<template>
  <div class="min-w-0">
    <div class="border-b-2 border-ink p-4">
      <h2 class="figure text-lead font-bold">
        {{ crew.length > 1 ? 'Both at once, and swap' : 'One thing differs, drawn order' }}
        <span class="ml-2 text-note font-normal text-ink2">
          <template v-if="block">pair {{ block }} of {{ trip.trial!.blocks }}.</template>
          You do not choose which is next, so neither does your hope.
        </span>
      </h2>
      <ul class="my-3 grid grid-cols-2 gap-3">
        <li v-for="side in ['a', 'b'] as const" :key="side" class="flex items-center gap-3">
          <span class="block h-14 w-28 bg-plate p-1">
            <HandFigure v-if="finishOf(rod(side).finishId)" :finish="finishOf(rod(side).finishId)!" :line="2" />
          </span>
          <span class="leading-tight">
            <b class="figure block text-lead">{{ per100(sums[side]) }} in 100</b>
            <b class="block">{{ names[side] }}</b>
            <span class="block text-note">
              {{ counted(sums[side].bites, 'bite') }} in {{ counted(sums[side].casts, 'cast') }}
            </span>
          </span>
        </li>
      </ul>
      <TrialRoute v-if="!short" v-bind="route" />
    </div>
    <div class="grid gap-5 p-4 lg:grid-cols-[minmax(0,1fr)_290px]">
      <TrialRuledOut :blocks="blocks" :names="names" />
      <div class="leading-snug">
        <h3 class="figure text-title leading-tight font-bold">{{ said }}</h3>
        <template v-if="result">
          <p class="mt-2">{{ shows }}</p>
          <p class="mt-2">{{ longer }}</p>
          <p class="mt-2">
            Bites in 100 casts, nine times in ten between:
            <b v-for="side in ['a', 'b'] as const" :key="side" class="figure block">
              {{ names[side] }} {{ (100 * result.rate[side].low).toFixed(1) }} to
              {{ (100 * result.rate[side].high).toFixed(1) }}
            </b>
          </p>
        </template>
        <p class="mt-2">You lose nothing by it: both are fished. Fish the leader when the bites matter.</p>
        <ShareButton v-if="canShare" class="mt-3" words="Share this test" :input="sharing" />
        <slot />
      </div>
    </div>
  </div>
</template>
