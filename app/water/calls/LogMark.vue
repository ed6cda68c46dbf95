<script setup lang="ts">
import { computed } from 'vue'
import type { TaughtFinish } from '~/records/taught'

/** What the log says of a finish: a ring from half to twice its fellows, solid where that is sure, and its hours. */
const props = defineProps<{ said: TaughtFinish }>()
const WIDTH = 30
const x = computed(() => (WIDTH / 2) * (1 + Math.max(-1, Math.min(1, Math.log2(Math.max(0.01, props.said.times))))))
</script>

<template>
  <span class="absolute inset-x-0 bottom-0.5 flex flex-col items-center" aria-hidden="true">
    <svg :width="WIDTH + 8" height="12" :viewBox="`-4 0 ${WIDTH + 8} 12`">
      <path :d="`M0 6H${WIDTH}M${WIDTH / 2} 3v6`" stroke="currentColor" stroke-width="1.2" />
      <circle
        :cx="x"
        cy="6"
        r="3.6"
        :fill="said.sure ? 'currentColor' : 'var(--page)'"
        stroke="currentColor"
        stroke-width="1.8"
      />
    </svg>
    <span class="text-tick leading-none">{{ said.hours.toFixed(said.hours < 10 ? 1 : 0) }} h</span>
  </span>
</template>
