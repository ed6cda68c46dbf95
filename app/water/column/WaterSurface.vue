<script setup lang="ts">
import { computed } from 'vue'
import { WINDS } from '#core/sky/weather'
import { useColumn } from './useColumn'
import { useReadingStore } from '~/reading/store'
import { VOCABULARY } from '#shared/vocabulary'
import { cap } from '~/words/options'
import DragHandle from '~/common/DragHandle.vue'

/** The line between air and water: pulled up, the wind rises. */
const store = useReadingStore()
const { width, skyH } = useColumn()
const WINDS_IN_ORDER = VOCABULARY.wind
const level = computed(() => WINDS_IN_ORDER.indexOf(store.reading.wind))
const HEIGHTS = [0.8, 2, 3.6, 5.5]
const wave = computed(() => {
  const a = HEIGHTS[level.value]!
  const l = 20 + 4 * level.value
  let d = `M-4 ${skyH.value}`
  for (let x = -4; x < width.value + l; x += l) d += `q${l / 4} ${-a * 1.4} ${l / 2} 0t${l / 2} 0`
  return d
})
const words = computed(() => cap(WINDS[store.reading.wind].words))
const setLevel = (v: number) => store.set({ wind: WINDS_IN_ORDER[Math.round(v)]! })
</script>

<template>
  <svg :width="width" :height="skyH + 12" class="pointer-events-none absolute top-0 left-0" aria-hidden="true">
    <path :d="`${wave}V${skyH - 14}H-4Z`" fill="var(--sky)" stroke="none" />
    <path :d="wave" fill="none" stroke="var(--ink)" stroke-width="1.8" />
    <path
      v-if="level === 3"
      :d="Array.from({ length: 8 }, (_, i) => `M${24 + (i * width) / 8} ${skyH - 8}q6 -5 13 0`).join('')"
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.6"
    />
  </svg>
  <DragHandle
    label="Wind on the water"
    :value="level"
    :min="0"
    :max="3"
    :step="1"
    :text="words"
    :x="width - 24"
    :y="skyH - 4"
    grows="up"
    :move="(_dx, dy, from) => from - dy / 22"
    @change="setLevel"
  >
    <span
      :class="[
        'flex h-8 w-6 flex-col items-center justify-center border border-ink bg-sky2 text-tick',
        'leading-2.75 text-ink',
      ]"
      aria-hidden="true"
    >
      <span>▴</span>
      <span>▾</span>
    </span>
  </DragHandle>
  <p
    class="figure pointer-events-none absolute bg-sky px-1 text-note font-semibold"
    :style="{ right: '46px', top: `${skyH - 24}px` }"
    aria-hidden="true"
  >
    {{ words }}
  </p>
</template>
