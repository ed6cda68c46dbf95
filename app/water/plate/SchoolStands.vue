<script setup lang="ts">
import { SCHOOLS, SCHOOL_IDS } from '#core/words/schools'
import type { Ranked } from '#core/ranking/answer'
import { LEANS } from '~/water/leans'

/**
 * Where the seven schools stand: a struck ring against, an open ring neutral, a solid one for, and each as far out as
 * the school goes. Shape says it, not colour.
 */
defineProps<{ call: Ranked }>()
const stop = (v: number) => (v > LEANS ? 'for' : v < -LEANS ? 'against' : 'neutral')
/** Middle of the line, and how far from it a whole stance stands. */
const [MIDDLE, REACH] = [26, 20] as const
const x = (v: number) => MIDDLE + REACH * v
const said = (v: number) => `${stop(v)}, ${Math.round(100 * Math.abs(v))} of 100`
</script>

<template>
  <ul>
    <li v-for="id in SCHOOL_IDS" :key="id" class="flex items-center gap-2 py-0.5">
      <span class="w-42 shrink-0 font-bold">{{ SCHOOLS[id].words }}</span>
      <span class="min-w-0 flex-1 text-note leading-tight text-ink2 max-2xl:hidden">{{ SCHOOLS[id].creed }}</span>
      <svg
        class="ml-auto shrink-0"
        width="54"
        height="16"
        viewBox="0 0 54 16"
        role="img"
        :aria-label="said(call.stances[id])"
      >
        <path d="M6 8H46M6 5v6M26 5v6M46 5v6" stroke="var(--ink2)" stroke-width="1" />
        <circle
          :cx="x(call.stances[id])"
          cy="8"
          r="5.4"
          :fill="stop(call.stances[id]) === 'for' ? 'var(--ink)' : 'var(--page)'"
          stroke="var(--ink)"
          stroke-width="1.7"
        />
        <path
          v-if="stop(call.stances[id]) === 'against'"
          :d="`M${x(call.stances[id]) - 3.6} 11.6L${x(call.stances[id]) + 3.6} 4.4`"
          stroke="var(--ink)"
          stroke-width="1.7"
        />
      </svg>
    </li>
  </ul>
</template>
