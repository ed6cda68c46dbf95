<script setup lang="ts">
import { computed } from 'vue'
import type { Passage } from '#core/lure/passage'

/** How a lure comes through: straight is clean, a hop knocks and goes on, dashed wants care, a cross hangs. */
const props = defineProps<{ way: Passage; width?: number }>()
const w = computed(() => props.width ?? 30)
const d = computed(() => {
  const [end, mid] = [w.value, w.value / 2]
  if (props.way === 'knocks') return `M0 12H${mid - 9}Q${mid} -8 ${mid + 9} 12H${end}`
  if (props.way === 'hangs') return `M0 12H${mid + 2}M${mid - 3} 7l10 10m0 -10l-10 10`
  return `M0 12H${end}`
})
</script>

<template>
  <svg :width="w" height="24" class="block" aria-hidden="true">
    <path
      :d="d"
      fill="none"
      stroke="currentColor"
      :stroke-width="way === 'clean' || way === 'knocks' ? 3 : 1.8"
      :stroke-dasharray="way === 'care' ? '4 3' : undefined"
    />
  </svg>
</template>
