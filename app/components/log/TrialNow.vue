<script setup lang="ts">
import { computed } from 'vue'
import { SETTLES, trialVerdict } from '#core/trial/verdict'
import { useFinish } from '~/box/useFinish'
import { useLogStore } from '~/log/store'
import { counted } from '~/words/numbers'
import { rodWords } from '~/log/pair'
import { blocksOf, tallyOf, trialOf } from '~/log/trip'
import { SPOIL_OPTIONS, cap } from '~/words/options'
import HandFigure from '~/components/figure/HandFigure.vue'
import CarriedRows from './CarriedRows.vue'
import LastTap from './LastTap.vue'
import LogTargets from './LogTargets.vue'

/** The fair test under way: what to tie on now, where the order has come to, and what the whole pairs show so far. */
defineProps<{ phone: boolean }>()
const log = useLogStore()
const trip = computed(() => log.current!.body)
const per = computed(() => trip.value.trial!.castsPerSpell)
const test = computed(() => trialOf(trip.value, log.taps))
const blocks = computed(() => blocksOf(trip.value, test.value.spells))
const result = computed(() => (blocks.value.length ? trialVerdict(blocks.value) : null))
const rod = (side: 'a' | 'b') => trip.value.rods[side === 'a' ? 0 : 1]!
const { finishOf } = useFinish()
const finish = (side: 'a' | 'b') => finishOf(rod(side).finishId)
const differs = computed(() => trip.value.trial!.differs)
const named = (side: 'a' | 'b') => cap(rodWords(rod(side), differs.value))
const spell = computed(() => (test.value.now === null ? null : test.value.spells[test.value.now]!))
const next = computed(() => (test.value.now === null ? null : (test.value.spells[test.value.now + 1] ?? null)))
const left = computed(() => (spell.value ? per.value - spell.value.casts : 0))
const sums = computed(() => {
  const of = (side: 'a' | 'b') => {
    const mine = test.value.spells.filter(s => s.side === side)
    return { casts: mine.reduce((n, s) => n + s.casts, 0), bites: mine.reduce((n, s) => n + s.bites, 0) }
  }
  return { a: of('a'), b: of('b') }
})
const tally = computed(() => tallyOf(log.taps))
const per100 = ({ casts, bites }: { casts: number; bites: number }) =>
  casts ? (Math.round((1000 * bites) / casts) / 10).toFixed(1) : '–'
const headline = computed(() => {
  const r = result.value
  if (!r) return 'Nothing to look at before the first whole pair.'
  if (r.verdict === 'too-soon') return 'Too soon to call.'
  if (r.verdict === 'alike') return 'Alike: no difference you would notice.'
  return `${named(r.verdict)}, and looking early did not fool you.`
})
const account = computed(() => {
  const r = result.value
  if (!r) return ''
  const whole = (side: 'a' | 'b') => blocks.value.reduce((n, b) => n + b[side].bites, 0)
  const bites = `In whole pairs ${named('a')} has ${counted(whole('a'), 'bite')} and ${named('b')} ${whole('b')}.`
  const odds = `A fair bet that they differ stands at ${r.evidence.toFixed(1)}; at ${SETTLES} it is settled.`
  const more = r.moreCasts
    ? ` About ${r.moreCasts} more casts if things go on as they have; they may not.`
    : r.moreCasts === null
      ? ' If things go on as they have it takes more casts than a season holds.'
      : ''
  return `${bites} ${odds}${more}`
})
const spoilt = computed(() =>
  spell.value?.spoils.some(x => trip.value.trial!.leaveOut.includes(x))
    ? 'By the rule set beforehand its pair will be left out. Fish it to the end all the same.'
    : 'Noted. By the rule set beforehand its pair still counts.',
)
const width = computed(() => 100 / test.value.spells.length)
</script>

<template>
  <section aria-label="The test" :class="phone ? '' : 'grid grid-cols-[390px_minmax(0,1fr)]'">
    <div :class="phone ? '' : 'border-r-2 border-ink'">
      <div class="flex border-b-2 border-ink">
        <span class="block h-24 w-44 bg-plate p-2">
          <HandFigure v-if="spell && finish(spell.side)" :finish="finish(spell.side)!" :line="2" />
        </span>
        <p class="flex flex-col justify-center px-3 leading-tight" role="status">
          <template v-if="spell">
            <span>on the line now</span>
            <b class="figure text-value">{{ named(spell.side) }}</b>
            <span class="figure">spell {{ test.now! + 1 }} of {{ test.spells.length }}</span>
          </template>
          <b v-else>All spells are fished.</b>
        </p>
      </div>
      <LogTargets v-if="spell" :tally="tally" lead="cast" :casts="`${spell.casts} of ${per}`" />
      <LastTap />
      <div v-if="spell" class="p-4">
        <p class="figure text-value font-bold">
          {{ counted(left, 'more cast') }}{{ next ? ', then change' : ', then it is done' }}
        </p>
        <p v-if="next" class="mt-1 flex items-center gap-3">
          <span class="block h-11 w-24 bg-plate p-1">
            <HandFigure v-if="finish(next.side)" :finish="finish(next.side)!" :line="2.4" />
          </span>
          {{ next.side === spell.side ? 'the same again' : named(next.side) }}, same spot, {{ per }} casts
        </p>
        <p class="mt-2 text-note text-ink2">A landed fish counts as a bite, and so does a miss. A cast comes first.</p>
        <p class="mt-2">This spell was spoilt:</p>
        <p class="mt-1 flex flex-wrap gap-2">
          <button
            v-for="o in SPOIL_OPTIONS"
            :key="o.value"
            type="button"
            class="quiet disabled:opacity-60"
            :disabled="spell.spoils.includes(o.value)"
            @click="log.tap('broken', { spoil: o.value })"
          >
            {{ o.words }}
          </button>
        </p>
        <p v-if="spell.spoils.length" role="status" class="mt-1 text-note">{{ spoilt }}</p>
        <CarriedRows class="mt-2" />
      </div>
    </div>
    <div class="min-w-0 p-4">
      <h2 class="figure text-lead font-bold">
        One thing differs, drawn order
        <span class="ml-2 text-note font-normal text-ink2">
          You do not choose which is next, so neither does your hope.
        </span>
      </h2>
      <ul class="my-3 grid grid-cols-2 gap-3">
        <li v-for="side in ['a', 'b'] as const" :key="side" class="flex items-center gap-3">
          <span class="block h-14 w-28 bg-plate p-1">
            <HandFigure v-if="finish(side)" :finish="finish(side)!" :line="2" />
          </span>
          <span class="leading-tight">
            <b class="figure block text-lead">{{ per100(sums[side]) }} in 100</b>
            <b class="block">{{ named(side) }}</b>
            <span class="block text-note">
              {{ counted(sums[side].bites, 'bite') }} in {{ counted(sums[side].casts, 'cast') }}
            </span>
          </span>
        </li>
      </ul>
      <svg
        viewBox="0 0 100 40"
        preserveAspectRatio="none"
        class="h-28 w-full"
        role="img"
        :aria-label="account || headline"
      >
        <template v-for="(s, i) in test.spells" :key="i">
          <rect
            :x="i * width + width * 0.08"
            :y="s.side === 'a' ? 2 : 21"
            :width="width * 0.84"
            height="17"
            :fill="s.spoils.length ? 'var(--hair)' : 'none'"
            :stroke="i === test.now ? 'var(--ink)' : s.casts ? 'var(--ink)' : 'var(--hair)'"
            :stroke-width="i === test.now ? 2.5 : 1"
            :stroke-dasharray="s.casts || i === test.now ? undefined : '3 3'"
            vector-effect="non-scaling-stroke"
          />
          <rect
            v-for="n in s.bites"
            :key="n"
            :x="i * width + width * (0.1 + (0.78 * n) / (s.bites + 1))"
            :y="s.side === 'a' ? 4 : 23"
            :width="Math.min(0.5, width * 0.1)"
            height="13"
            fill="var(--ink)"
          />
        </template>
      </svg>
      <p class="text-note text-ink2">
        Pairs of spells, upper {{ named('a') }}, lower {{ named('b') }}; a stroke is a bite, shaded was spoilt.
      </p>
      <h3 class="figure mt-4 text-title font-bold">{{ headline }}</h3>
      <p class="leading-snug">{{ account }}</p>
      <p v-if="result" class="mt-2 leading-snug">
        Bites in 100 casts, nine times in ten between:
        <b v-for="side in ['a', 'b'] as const" :key="side" class="figure block">
          {{ named(side) }} {{ (100 * result.rate[side].low).toFixed(1) }} to
          {{ (100 * result.rate[side].high).toFixed(1) }}
        </b>
      </p>
      <p class="mt-2 leading-snug">You lose nothing by it: both are fished. Fish the leader when the bites matter.</p>
      <button type="button" class="quiet mt-3" @click="log.end()">Stop, keep the count</button>
    </div>
  </section>
</template>
