<script setup lang="ts">
import { computed } from 'vue'
import { TINTS, type TintId } from '#core/water/tints'
import { redTone } from './tone'
import { useSettingsStore } from '~/settings/store'

/** A jar of water of a tint before white paper. */
const props = defineProps<{ tint: TintId; strong?: boolean }>()
const settings = useSettingsStore()
const night = computed(() => settings.theme === 'night')
const colour = computed(() => {
  const { colour } = TINTS[props.tint].jar
  return night.value ? redTone(colour, 200) : colour
})
</script>

<template>
  <svg viewBox="0 0 30 48" width="28" height="45" aria-hidden="true">
    <path d="M6 4V34C6 44 24 44 24 34V4" fill="#f4f4f2" :fill-opacity="night ? 0 : 1" />
    <path d="M6 10V34C6 44 24 44 24 34V10Z" :fill="colour" />
    <path d="M3 4H27M6 4V34C6 44 24 44 24 34V4" fill="none" stroke="currentColor" :stroke-width="strong ? 2.6 : 1.3" />
  </svg>
</template>
