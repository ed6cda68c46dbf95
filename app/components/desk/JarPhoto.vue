<script setup lang="ts">
import { computed } from 'vue'
import type { Reading } from '#core/request/readings'
import PhotoLoupe from '~/components/common/PhotoLoupe.vue'

/** A photo of a jar before white paper: water and paper are picked on it. */
type Jar = Extract<Reading, { kind: 'jar' }>
const props = defineProps<{ jar: Jar }>()
const emit = defineEmits<{ change: [jar: Jar] }>()
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
</template>
