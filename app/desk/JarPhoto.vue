<script setup lang="ts">
import { computed } from 'vue'
import type { Reading } from '#core/request/readings'
import PhotoLoupe from '~/figures/PhotoLoupe.vue'

/** A photo of a jar before white paper: water and paper are picked on it. */
type Jar = Extract<Reading, { kind: 'jar' }>
const props = defineProps<{ jar: Jar }>()
const emit = defineEmits<{ change: [jar: Jar] }>()
/** Across less water than this most tints look alike, m. */
const TALL_M = 0.5
const wanted = computed(() => [
  { key: 'water' as const, words: 'Water', colour: props.jar.water, how: 'in the jar, where it is even.' },
  { key: 'paper' as const, words: 'Paper', colour: props.jar.paper, how: 'beside the jar, in the same light.' },
])
</script>

<template>
  <PhotoLoupe
    :wanted="wanted"
    label="Photo of the jar"
    @pick="(key, colour) => emit('change', { ...jar, [key]: colour })"
  />
  <p class="w-full pl-9 text-note text-ink2">
    {{
      jar.pathM < TALL_M
        ? 'Across so little water only tea shows. A tall jar, seen through its length, tells more.'
        : 'With a disc read as well, a tall jar names the tint eight times in ten.'
    }}
  </p>
</template>
