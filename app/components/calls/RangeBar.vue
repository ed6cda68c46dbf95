<script setup lang="ts">
import { computed } from 'vue'

/** Thick ink to where colour reads, thin to where shape reads, a dashed tick at the fish. */
const props = defineProps<{ colourM: number, sightM: number, fishM: number, maxM: number }>()
const pc = (m: number) => `${Math.min(100, 100 * m / props.maxM)}%`
const c = computed(() => pc(props.colourM))
const s = computed(() => pc(props.sightM))
const f = computed(() => pc(props.fishM))
</script>

<template>
  <span class="relative block h-[14px]" aria-hidden="true">
    <span class="absolute top-[7px] right-0 left-0 border-t border-hair" />
    <span class="absolute top-[6px] left-0 border-t-[1.6px] border-ink" :style="{ width: s }" /><span class="absolute top-[2px] h-[10px] border-l-[1.8px] border-ink" :style="{ left: s }" />
    <span class="absolute top-[4px] left-0 h-[6px] bg-ink" :style="{ width: c }" />
    <span v-if="fishM <= maxM" class="absolute top-0 h-[14px] border-l border-dashed border-ink" :style="{ left: f }" />
  </span>
</template>
