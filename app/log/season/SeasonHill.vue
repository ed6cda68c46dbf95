<script setup lang="ts">
import { computed } from 'vue'
import type { Effect } from '#core/season-learning/effect'
import { hillAt, hillPath } from './hill'

/**
 * How many times its fellows something did: a hill of what may be true, eight in ten as a bar, the likeliest a stroke,
 * bites an hour as a ring; dotted where too little was fished to say.
 */
const props = defineProps<{ effect: Effect }>()
const HEIGHT = 26
const path = computed(() => hillPath(props.effect, HEIGHT))
const told = computed(() => props.effect.says !== null)
</script>

<template>
  <span class="relative block h-10 overflow-hidden" aria-hidden="true">
    <svg
      class="absolute inset-x-0 top-1 h-7 w-full"
      :viewBox="`0 0 100 ${HEIGHT}`"
      preserveAspectRatio="none"
      fill="none"
    >
      <path v-if="told" :d="`${path}Z`" fill="var(--hair)" />
      <path v-else :d="path" stroke="var(--ink2)" stroke-dasharray="2 3" vector-effect="non-scaling-stroke" />
    </svg>
    <span class="absolute inset-x-0 top-8 h-px bg-hair" />
    <span class="absolute inset-y-0 left-1/2 w-0 border-l border-dashed border-ink2" />
    <span
      class="absolute bg-ink"
      :class="told ? 'top-7.5 h-1' : 'top-[1.95rem] h-px'"
      :style="{ left: `${hillAt(effect.low)}%`, right: `${100 - hillAt(effect.high)}%` }"
    />
    <span class="absolute top-5 h-3 w-0.75 -translate-x-1/2 bg-ink" :style="{ left: `${hillAt(effect.times)}%` }" />
    <span
      v-if="effect.plainTimes"
      class="absolute top-8 size-2.5 -translate-1/2 rounded-full border-2 border-ink bg-page"
      :style="{ left: `clamp(5px, ${hillAt(effect.plainTimes)}%, calc(100% - 5px))` }"
    />
  </span>
</template>
