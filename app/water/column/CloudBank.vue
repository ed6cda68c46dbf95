<script setup lang="ts">
import { rounded } from '#core/numeric/rounded'
import { computed } from 'vue'
import { useColumn } from './useColumn'
import { useReadingStore } from '~/reading/store'
import DragHandle from '~/common/DragHandle.vue'

/** A bank of cloud pulled in from the right. */
const store = useReadingStore()
const { width, skyH, cloudPx, cloudX: left } = useColumn()
const cloud = computed(() => store.reading.cloud)
const y = computed(() => Math.round(skyH.value * 0.63))
/** Height of the cloud under its lobes, where its words stand, px. */
const FLANK = 18
/** Lobes of even breadth along a flat base. */
const shape = computed(() => {
  const base = y.value + 20
  const x1 = width.value + 30
  const n = Math.max(2, Math.round((x1 - left.value) / 46))
  const w = (x1 - left.value) / n
  const lobes = Array.from(
    { length: n },
    (_, i) => `a${w * 0.52} ${i % 2 ? 15 : 20} 0 0 1 ${w} ${i === 0 ? -8 : i === n - 1 ? 8 : 0}`,
  ).join('')
  return `M${left.value} ${base}v${-FLANK}${lobes}V${base}Z`
})
const hatch = computed(() =>
  Array.from({ length: 2 }, (_, i) => `M${left.value + 8 + i * 6} ${y.value + 17 - i * 3}H${width.value}`).join(''),
)
/** The words stand right of the handle, or above it where there is no room. */
const words = computed(() => {
  const room = left.value + 22 <= width.value - 96
  return room ? { x: left.value + 22, y: y.value - 20 } : { x: width.value - 96, y: y.value - 56 }
})
const text = computed(() => (store.reading.rain ? 'Rain' : `Cloud ${Math.round(cloud.value * 100)} %`))
</script>

<template>
  <svg :width="width" :height="skyH" class="pointer-events-none absolute top-0 left-0" aria-hidden="true">
    <path :d="shape" fill="var(--sky2)" stroke="var(--ink)" stroke-width="1.2" />
    <path :d="hatch" stroke="var(--ink)" stroke-width=".6" stroke-opacity=".5" />
    <path
      v-if="store.reading.rain"
      :d="Array.from({ length: 14 }, (_, i) => `M${left + 8 + i * 24} ${y + 22}l-5 16`).join('')"
      stroke="var(--ink)"
      stroke-width="1.2"
    />
  </svg>
  <DragHandle
    label="Cloud cover"
    :value="cloud"
    :min="0"
    :max="1"
    :step="0.05"
    :text="text"
    :x="left"
    :y="y + 2"
    :w="44"
    :h="44"
    grows="left"
    :move="(dx, _dy, from) => from - dx / cloudPx"
    @change="v => store.set({ cloud: rounded(v, 2) })"
  >
    <span
      class="flex h-8 w-6 items-center justify-center border border-ink bg-sky2 text-label text-ink"
      aria-hidden="true"
    >
      ‹ ›
    </span>
  </DragHandle>
  <button
    type="button"
    class="figure absolute flex min-h-11 items-center px-1 text-note font-semibold text-ink"
    :style="{ left: `${words.x}px`, top: `${words.y}px` }"
    :aria-pressed="store.reading.rain"
    :aria-label="store.reading.rain ? 'Rain is on. Stop the rain' : `${text}. Make it rain`"
    @click="store.set({ rain: !store.reading.rain })"
  >
    {{ text }}
  </button>
</template>
