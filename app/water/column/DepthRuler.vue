<script setup lang="ts">
import { computed } from 'vue'
import { useColumn } from './useColumn'
import { useUnits } from '~/settings/useUnits'
import { useReadingStore } from '~/reading/store'
import { steady } from '~/common/steady'
import { SPECIES } from '#core/eye/species'

/** Depth on the left with the light that is left for the fish's cones drawn beside it. */
const store = useReadingStore()
const c = useColumn()
const { length } = useUnits()
const STEPS = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50]
const ticks = computed(() => {
  const reach = length.value.show(c.reachM.value)
  const step = STEPS.find(s => reach / s <= 8) ?? 50
  return Array.from({ length: Math.floor(reach / step) }, (_, i) => {
    const shown = Number(((i + 1) * step).toFixed(1))
    const m = length.value.read(shown)
    return { shown, y: c.yOf(m) }
  }).filter(t => t.y < c.bedY.value - 8)
})
/**
 * Depths whose number a flag would half cover; as one word, so that a flag on its way redraws the ruler only when that
 * changes.
 */
const covered = computed(() =>
  ticks.value
    .filter(t => Math.min(Math.abs(t.y - c.lureY.value), Math.abs(t.y - c.disc.value.flagY)) < 20)
    .map(t => t.shown)
    .join(),
)
const numbered = computed(() => {
  const not = covered.value.split(',').map(Number)
  return ticks.value.map(t => ({ ...t, number: !not.includes(t.shown) }))
})
const strip = 40
/** A share of light across the strip, on a square-root scale so that a tenth still shows. */
const xOfLight = (share: number) => 2 + Math.sqrt(Math.min(1, share)) * (strip - 5)
/** Curves of light left: the share of that under the surface. */
const curves = steady(() => {
  const steps = c.screen.value?.column ?? []
  const cones = steps[0]?.cones.length ?? 0
  return Array.from({ length: cones }, (_, k) =>
    steps.map((s, i) => `${i ? 'L' : 'M'}${xOfLight(s.cones[k]!).toFixed(1)} ${c.yOf(s.depthM).toFixed(1)}`).join(''),
  )
})
const percent = (v: number) => (v >= 0.1 ? Math.round(v * 100) : v >= 0.001 ? Number((v * 100).toFixed(1)) : '<0.1')
const left = steady(() => (c.screen.value?.conesLeft ?? []).map(percent))
const NAMES = computed(() =>
  left.value.length === 3
    ? ['blue', 'green', 'yellow']
    : SPECIES[store.reading.species].conesNm[0] < 500
      ? ['blue', 'green']
      : ['green', 'red'],
)
const DASHES = ['', '4 3', '1.5 2.5']
</script>

<template>
  <!-- It ends where the water does: nothing of it stands on the bed. -->
  <svg
    :width="c.width.value"
    :height="c.bedY.value"
    class="pointer-events-none absolute top-0 left-0 overflow-hidden"
    aria-hidden="true"
  >
    <rect x="0" :y="c.skyH.value + 6" :width="strip" :height="c.waterH.value - 6" fill="#000" fill-opacity=".16" />
    <path
      v-for="(d, i) in curves"
      :key="i"
      :d="d"
      fill="none"
      :stroke="c.ink.value"
      stroke-width="1.6"
      :stroke-dasharray="DASHES[i]"
    />
    <path :d="`M${strip + 2} ${c.skyH.value + 8}V${c.yOf(c.reachM.value)}`" :stroke="c.ink.value" stroke-width="1.2" />
    <g v-for="t in numbered" :key="t.shown" class="figure" font-size="13" font-weight="600">
      <path :d="`M${strip + 2} ${t.y}h8`" :stroke="c.ink.value" stroke-width="1.4" />
      <text v-if="t.number" :x="strip + 14" :y="t.y + 4.5" :fill="c.ink.value">{{ t.shown }}</text>
    </g>
  </svg>
  <!-- Of a size of its own, so that other numbers lay out nothing else. -->
  <div
    :class="[
      'figure pointer-events-none absolute right-3 bottom-1.5 z-10 flex h-20 w-64 flex-col justify-end',
      'text-right text-note leading-tight font-medium text-on-bed contain-layout contain-size',
    ]"
  >
    <p>{{ c.screen.value?.colourBlind ? 'Too dark for colour. ' : '' }}Light left at the lure</p>
    <p
      v-if="left.length"
      class="flex justify-end gap-3 font-bold min-[900px]:flex-col min-[900px]:items-end min-[900px]:gap-0"
    >
      <span v-for="(v, i) in left" :key="i" class="flex items-center gap-1">
        <svg width="18" height="4" aria-hidden="true">
          <path d="M0 2H18" stroke="currentColor" stroke-width="1.8" :stroke-dasharray="DASHES[i]" />
        </svg>
        {{ NAMES[i] }} {{ v }} %
      </span>
    </p>
  </div>
</template>
