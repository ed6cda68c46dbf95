<script setup lang="ts">
import { computed } from 'vue'

/**
 * Thick ink to where colour reads, thin to where shape reads, a dashed tick at the fish. One element painted by
 * backgrounds: rows of these follow the finger without being laid out anew.
 */
const props = defineProps<{ colourM: number; sightM: number; fishM: number; maxM: number }>()
const percent = (m: number) => `${(100 * Math.min(1, m / props.maxM)).toFixed(2)}%`
const lengths = computed(() =>
  [
    `--colour:${percent(props.colourM)}`,
    `--sight:${percent(props.sightM)}`,
    `--fish:${props.fishM <= props.maxM ? percent(props.fishM) : '-99px'}`,
  ].join(';'),
)
</script>

<template>
  <span class="ranges" :style="lengths" aria-hidden="true" />
</template>

<style scoped>
.ranges {
  --line: linear-gradient(var(--ink), var(--ink));
  display: block;
  height: 14px;
  background:
    repeating-linear-gradient(var(--ink) 0 3px, transparent 3px 5px) var(--fish) 0 / 1px 14px no-repeat,
    var(--line) var(--sight) 2px / 2px 10px no-repeat,
    var(--line) 0 4px / var(--colour) 6px no-repeat,
    var(--line) 0 6px / var(--sight) 2px no-repeat,
    linear-gradient(var(--hair), var(--hair)) 0 7px / 100% 1px no-repeat;
}
</style>
