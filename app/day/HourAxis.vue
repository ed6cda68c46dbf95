<script setup lang="ts">
import { computed } from 'vue'
import DragHandle from '~/common/DragHandle.vue'
import { useDayScale } from './useDayScale'
import { clock } from '~/reading/clock'

/** The hours under the picture, and the flag of the one that is looked at. */
const emit = defineEmits<{ hour: [min: number] }>()
const { width, fromMin, toMin, xOf, minOf, cursorMin } = useDayScale()
const FLAG_PX = 56
const hours = computed(() => {
  const step = width.value / ((toMin.value - fromMin.value) / 60) < 26 ? 2 : 1
  const first = Math.ceil(fromMin.value / 60)
  const last = Math.floor(toMin.value / 60)
  return Array.from({ length: last - first + 1 }, (_, i) => first + i)
    .filter(h => h % step === 0)
    .map(h => ({ h: h % 24, x: xOf(h * 60) }))
    .filter(t => t.x > 6 && t.x < width.value - 6)
})
const x = computed(() => xOf(cursorMin.value))
</script>

<template>
  <div class="relative h-7 border-y-2 border-ink">
    <svg :width="width" height="24" class="block" aria-hidden="true">
      <g v-for="t in hours" :key="t.x" class="figure" font-size="14" font-weight="700">
        <path :d="`M${t.x} 0v5`" stroke="var(--ink)" stroke-width="1.4" />
        <text v-if="Math.abs(t.x - x) > FLAG_PX / 2 + 9" :x="t.x" y="19" text-anchor="middle" fill="var(--ink)">
          {{ t.h }}
        </text>
      </g>
    </svg>
    <DragHandle
      label="Hour of the day"
      :value="cursorMin"
      :min="fromMin"
      :max="toMin"
      :step="10"
      :text="clock(cursorMin)"
      :x="Math.min(width - FLAG_PX / 2, Math.max(FLAG_PX / 2, x))"
      :y="12"
      :w="FLAG_PX"
      :h="44"
      :move="(dx, _dy, from) => from + minOf(dx) - minOf(0)"
      @change="m => emit('hour', m)"
    >
      <span class="figure flex h-7 w-full items-center justify-center bg-ink text-value font-bold text-page">
        {{ clock(cursorMin) }}
      </span>
    </DragHandle>
  </div>
</template>
