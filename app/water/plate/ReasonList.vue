<script setup lang="ts">
import { computed } from 'vue'
import { SCHOOLS } from '#core/words/schools'
import type { Ranked } from '#core/ranking/answer'

/** Reasons with what each adds or takes: from the even half they lead to the score. */
const props = defineProps<{ call: Ranked }>()
const sign = (v: number) => `${v > 0 ? '+' : '−'}${Math.abs(Math.round(v * 100))}`
const reasons = computed(() =>
  props.call.reasons
    .filter(r => Math.abs(r.effect) >= 0.005)
    .map(r => ({
      ...r,
      who: r.school === 'balanced' ? '' : SCHOOLS[r.school].words,
      optics: r.custom
        ? {
            supports: 'custom, borne out by the optics',
            contradicts: 'custom, against the optics here',
            unexplained: 'custom, unexplained',
          }[r.custom.optics]
        : null,
    })),
)
</script>

<template>
  <ol>
    <li v-for="(r, i) in reasons" :key="i" class="flex gap-2 py-0.75">
      <span class="figure w-9 shrink-0 text-right font-bold">{{ sign(r.effect) }}</span>
      <span>
        {{ r.text }}
        <span v-if="r.optics || r.who" class="text-note text-ink2">
          {{ [r.who, r.optics].filter(Boolean).join(', ') }}
        </span>
      </span>
    </li>
  </ol>
</template>
