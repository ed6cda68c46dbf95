<script setup lang="ts">
import { computed } from 'vue'
import { EIGHT_IN_TEN } from '#core/season-learning/effect'
import type { SeasonAnswer } from '#core/season-learning/season'
import { SCHOOLS } from '#core/words/schools'
import { EARNED, LEAST_LEANED } from '#core/season-learning/weights'
import { PRIORS } from '#core/season-learning/rigs'

/**
 * Which way of thinking has earned more weight: each school's picks beside the rest, before any bite and now, and the
 * evidence against the weights as they are on its way to the gate.
 */
const props = defineProps<{ weights: SeasonAnswer['weights']; used: SeasonAnswer['used'] }>()
const early = computed(() => props.used.comparedBites < LEAST_LEANED.bites || props.used.trips < LEAST_LEANED.trips)
/** The picture runs from half to twice as many bites. */
const at = (ln: number) => `${50 + 50 * Math.max(-1, Math.min(1, ln / Math.LN2))}%`
const span = (mean: number, sd: number, k: number) => ({
  left: at(mean - k * sd),
  right: `calc(100% - ${at(mean + k * sd)})`,
})
/** Ninety-nine in a hundred lie within so many standard deviations. */
const ALMOST_ALL = 2.58
const times = (ln: number) => Math.exp(ln).toFixed(2)
/** Evidence by tenfolds, from a tenth to a hundred. */
const bet = (e: number) => `${Math.max(0, Math.min(100, (100 * (Math.log10(Math.max(0.1, e)) + 1)) / 3))}%`
</script>

<template>
  <section aria-label="Which way of thinking has earned weight">
    <h3 class="figure text-lead font-bold">Which way of thinking has earned weight?</h3>
    <table class="mt-1 w-full text-note">
      <thead>
        <tr class="border-b border-ink text-left align-bottom">
          <th scope="col" class="py-1 font-bold">School</th>
          <th scope="col" class="figure w-[45%] font-bold">
            <span class="grid grid-cols-3">
              <span>half</span>
              <span class="text-center">even</span>
              <span class="text-right">twice</span>
            </span>
          </th>
          <th scope="col" class="figure pl-2 text-right font-bold">bites that tell</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in weights.schools" :key="s.id" class="border-b border-hair">
          <th scope="row" class="h-9 pr-2 text-left font-semibold">
            {{ SCHOOLS[s.id].words }}
            <span v-if="s.togetherWith.length" class="block font-normal text-ink2">
              not to be parted from {{ s.togetherWith.map(t => SCHOOLS[t].words.toLowerCase()).join(', ') }}
            </span>
          </th>
          <td>
            <span class="relative block h-6">
              <span class="absolute inset-y-0 left-1/2 w-0 border-l border-dashed border-ink2" />
              <span
                class="absolute top-5.5 border-t-2 border-dotted border-ink2"
                :style="span(0, PRIORS.school, EIGHT_IN_TEN)"
              />
              <span class="absolute top-3 h-px bg-ink" :style="span(s.delta, s.sd, ALMOST_ALL)" />
              <span class="absolute top-2.5 h-1.5 bg-ink" :style="span(s.delta, s.sd, EIGHT_IN_TEN)" />
              <span
                class="absolute top-3.25 size-3 -translate-1/2 rounded-full border-2 border-ink bg-page"
                :style="{ left: at(s.delta) }"
              />
              <span class="sr-only">
                {{ times(s.delta) }} times, eight in ten {{ times(s.delta - EIGHT_IN_TEN * s.sd) }} to
                {{ times(s.delta + EIGHT_IN_TEN * s.sd) }}
              </span>
            </span>
          </td>
          <td class="figure text-right">{{ Math.round(s.evidenceBites) }}</td>
        </tr>
      </tbody>
    </table>
    <div class="mt-3 flex items-center gap-3">
      <span class="shrink-0 font-semibold">Evidence</span>
      <span class="relative block h-7 flex-1 border-l border-ink" aria-hidden="true">
        <span class="absolute top-2.5 left-0 h-2 bg-ink" :style="{ width: bet(weights.evidence) }" />
        <span class="absolute inset-y-0 w-1 bg-ink" :style="{ left: bet(EARNED) }" />
      </span>
      <b class="figure shrink-0">{{ weights.evidence.toFixed(1) }}, gate {{ EARNED }}</b>
    </div>
    <p class="mt-1 text-note text-ink2">
      <template v-if="early">
        Too early to say anything: that takes {{ LEAST_LEANED.bites }} bites with another rod tried beside, on
        {{ LEAST_LEANED.trips }} trips.
      </template>
      Against the weights as they are, all schools together. Below {{ EARNED }} luck does as well. Dotted: before any
      bite, worth {{ weights.schools[0]!.priorBites }}; thick eight in ten, thin ninety-nine in a hundred.
    </p>
  </section>
</template>
