<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { outlookOf } from '#core/trial/outlook'
import { trialVerdict } from '#core/trial/verdict'
import { useFinish } from '~/box/useFinish'
import { rodWords } from '~/log/pair'
import { useLogStore } from '~/log/store'
import { blocksOf, spellOf, trialOf } from '~/log/trial'
import { account, headline, howLong } from '~/log/trialWords'
import { byAngler, crewOf } from '~/log/trip'
import { counted } from '~/words/numbers'
import { SPOIL_OPTIONS, cap } from '~/words/options'
import HandFigure from '~/components/figure/HandFigure.vue'
import CarriedRows from './CarriedRows.vue'
import LastTap from './LastTap.vue'
import TrialRoute from './TrialRoute.vue'
import TrialSwap from './TrialSwap.vue'
import TrialTargets, { type TrialColumn } from './TrialTargets.vue'

// The drawing of charts is not needed to tap.
const TrialRuledOut = defineAsyncComponent(() => import('./TrialRuledOut.vue'))

/** The fair test under way: what to tie on now, where the order has come to, and what the whole pairs show so far. */
const props = defineProps<{ phone: boolean }>()
const log = useLogStore()
const { finishOf } = useFinish()
const trip = computed(() => log.current!.body)
const per = computed(() => trip.value.trial!.castsPerSpell)
const test = computed(() => trialOf(trip.value, log.taps))
const blocks = computed(() => blocksOf(trip.value, test.value.spells))
const result = computed(() => (blocks.value.length ? trialVerdict(blocks.value) : null))
const outlook = computed(() => outlookOf(blocks.value, trip.value.trial!.seed))
const crew = computed(() => crewOf(trip.value))
const rod = (side: 'a' | 'b') => trip.value.rods[side === 'a' ? 0 : 1]!
const names = computed(() => {
  const named = (side: 'a' | 'b') => cap(rodWords(rod(side), trip.value.trial!.differs))
  return { a: named('a'), b: named('b') }
})
const tallies = computed(() => byAngler(trip.value, log.taps))
const columns = computed(() =>
  crew.value.map((name, who): TrialColumn => {
    // Until the rods are changed what was fished last is on the line.
    const { now, swap } = test.value
    const spell = spellOf(swap ? { ...test.value, now: now! - 1 } : test.value, who)
    return {
      who,
      name,
      finish: spell && finishOf(rod(spell.side).finishId),
      onLine: spell ? names.value[spell.side] : 'All spells are fished.',
      side: spell?.side ?? null,
      casts: spell?.casts ?? per.value,
      tally: tallies.value[who]!,
      waits: !spell || test.value.swap || spell.casts === per.value,
    }
  }),
)
const where = computed(() => {
  const { now, turns } = test.value
  if (now === null || crew.value.length > 1) return ''
  return `spell ${now + 1} of ${turns}`
})
const sums = computed(() => {
  const of = (side: 'a' | 'b') => {
    const mine = test.value.spells.filter(s => s.side === side)
    return { casts: mine.reduce((n, s) => n + s.casts, 0), bites: mine.reduce((n, s) => n + s.bites, 0) }
  }
  return { a: of('a'), b: of('b') }
})
const per100 = ({ casts, bites }: { casts: number; bites: number }) =>
  casts ? (Math.round((1000 * bites) / casts) / 10).toFixed(1) : '–'
const said = computed(() => headline(result.value, names.value))
const longer = computed(() => (result.value ? howLong(result.value, outlook.value) : ''))
const spoils = computed(() => [
  ...new Set(test.value.spells.filter(s => s.turn === test.value.now).flatMap(s => s.spoils)),
])
const spoilt = computed(() =>
  spoils.value.some(x => trip.value.trial!.leaveOut.includes(x))
    ? 'By the rule set beforehand its pair will be left out. Fish it to the end all the same.'
    : 'Noted. By the rule set beforehand its pair still counts.',
)
const route = computed(() => ({ trial: test.value, per: per.value, crew: crew.value, names: names.value }))
const block = computed(() => test.value.spells.find(s => s.turn === test.value.now)?.block ?? null)
</script>

<template>
  <section aria-label="The test" :class="props.phone ? '' : 'grid grid-cols-[390px_minmax(0,1fr)]'">
    <div :class="phone ? '' : 'border-r-2 border-ink'">
      <TrialRoute v-if="phone && crew.length > 1" v-bind="route" short class="border-b-2 border-ink" />
      <TrialTargets :columns="columns" :per="per" :where="where" />
      <TrialSwap v-if="test.now !== null" :trial="test" :per="per" :crew="crew" :names="names" />
      <LastTap />
      <p v-if="phone" class="border-b border-hair px-4 py-2 leading-snug">
        <b>{{ said }}</b>
        {{ longer }}
      </p>
      <div v-if="test.now !== null" class="p-4">
        <p class="text-note text-ink2">A landed fish counts as a bite, and so does a miss. A cast comes first.</p>
        <p class="mt-2">This spell was spoilt{{ crew.length > 1 ? ', for both' : '' }}:</p>
        <p class="mt-1 flex flex-wrap gap-2">
          <button
            v-for="o in SPOIL_OPTIONS"
            :key="o.value"
            type="button"
            class="quiet disabled:opacity-60"
            :disabled="spoils.includes(o.value)"
            @click="log.tap('broken', { spoil: o.value })"
          >
            {{ o.words }}
          </button>
        </p>
        <p v-if="spoils.length" role="status" class="mt-1 text-note">{{ spoilt }}</p>
        <CarriedRows class="mt-2" />
      </div>
    </div>
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
        <TrialRoute v-if="!phone || crew.length < 2" v-bind="route" />
      </div>
      <div class="grid gap-5 p-4 lg:grid-cols-[minmax(0,1fr)_290px]">
        <TrialRuledOut :blocks="blocks" :names="names" />
        <div class="leading-snug">
          <h3 class="figure text-title leading-tight font-bold">{{ said }}</h3>
          <template v-if="result">
            <p class="mt-2">{{ account(result, blocks, names) }}</p>
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
          <button type="button" class="quiet mt-3" @click="log.end()">Stop, keep the count</button>
        </div>
      </div>
    </div>
  </section>
</template>
