<script setup lang="ts">
import { computed } from 'vue'
import { LURES } from '#core/lure/types'
import type { SharedVerdict } from '#shared/share'
import SharedFigure from './SharedFigure.vue'

/** What a fair test of two showed. */
const props = defineProps<{ test: SharedVerdict }>()
const SIDES = ['a', 'b'] as const
const name = (i: number) => props.test.finishes[i]!.name
const words = computed(() => {
  const { verdict, moreCasts } = props.test.verdict
  if (verdict === 'a' || verdict === 'b') return `${name(verdict === 'a' ? 0 : 1)} is bitten more often.`
  if (verdict === 'alike') return 'The two are as good as alike.'
  const more = moreCasts === null ? 'more than a season’s casts' : `about ${moreCasts} more casts`
  return `No difference yet. It would take ${more} to tell.`
})
const per100 = (rate: number) => (100 * rate).toFixed(1)
const most = computed(() => Math.max(0.01, ...SIDES.map(s => props.test.verdict.rate[s].high)))
const x = (rate: number) => 8 + (240 * rate) / most.value
</script>

<template>
  <section class="part">
    <h2>{{ words }}</h2>
    <p>{{ test.casts }} casts, in an order drawn beforehand, in pairs of equal spells.</p>
    <div v-for="(s, i) in SIDES" :key="s" class="row">
      <SharedFigure :finish-id="test.finishes[i]!.id" />
      <div>
        <p>
          <b>{{ name(i) }},</b>
          {{ LURES[test.finishes[i]!.lure].words }}
        </p>
        <svg viewBox="0 0 256 20" aria-hidden="true" style="background: none">
          <path
            :d="`M${x(test.verdict.rate[s].low)} 10H${x(test.verdict.rate[s].high)}`"
            stroke="var(--ink)"
            stroke-width="3"
          />
          <circle :cx="x(test.verdict.rate[s].best)" cy="10" r="6" fill="var(--ink)" />
        </svg>
        <p>
          {{ per100(test.verdict.rate[s].best) }} bites in a hundred casts; not ruled out:
          {{ per100(test.verdict.rate[s].low) }} to {{ per100(test.verdict.rate[s].high) }}.
        </p>
      </div>
    </div>
  </section>
</template>
