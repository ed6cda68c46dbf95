<script setup lang="ts">
import { computed } from 'vue'
import type { ReadingsAnswer } from '#core/evidence/answer'
import { useUnits } from '~/settings/useUnits'
import type { DiscBand } from './work'

/**
 * What each reading says of the disc, as a band down one ruler of depth, and beside them what all say together. Depths
 * are spaced by their logarithm, as errors are.
 */
const props = defineProps<{ bands: readonly DiscBand[]; names: readonly string[]; answer: ReadingsAnswer }>()
const { length, lengthText } = useUnits()
const [W, H, TOP, LEFT] = [360, 250, 12, 44] as const
const TICKS = { ft: [0.2, 0.5, 1, 2, 5, 10, 20, 50], m: [0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20] } as const
const ends = computed(() => {
  const all = props.bands.flatMap(b => [b.lowM, b.highM])
  return [Math.max(0.04, Math.min(...all) / 1.3), Math.min(40, Math.max(...all) * 1.3)] as const
})
const yOf = (m: number) => {
  const [low, high] = ends.value
  return TOP + ((Math.log(m) - Math.log(low)) / (Math.log(high) - Math.log(low))) * (H - TOP - 34)
}
const ticks = computed(() =>
  TICKS[length.value.unit === 'ft' ? 'ft' : 'm']
    .map(shown => ({ shown, m: length.value.read(shown) }))
    .filter(t => t.m >= ends.value[0] && t.m <= ends.value[1]),
)
const step = computed(() => (W - LEFT - 70) / Math.max(1, props.bands.length))
const box = (b: DiscBand) => ({ y: yOf(b.lowM), height: Math.max(3, yOf(b.highM) - yOf(b.lowM)) })
const whole = computed(() => ({ lowM: props.answer.visibilityM.low, highM: props.answer.visibilityM.high }))
const spoken = computed(() =>
  [
    ...props.bands.map((b, i) => `${props.names[i]}: ${lengthText(b.lowM)} to ${lengthText(b.highM)}`),
    `together: ${lengthText(whole.value.lowM)} to ${lengthText(whole.value.highM)}`,
  ].join('. '),
)
</script>

<template>
  <svg
    :viewBox="`0 0 ${W} ${H}`"
    class="figure block w-full max-w-120"
    role="img"
    :aria-label="`Depth of the disc. ${spoken}`"
  >
    <path :d="`M${LEFT} ${TOP}V${H - 34}`" stroke="currentColor" stroke-width="1.4" />
    <g v-for="t in ticks" :key="t.shown" font-size="12">
      <path :d="`M${LEFT} ${yOf(t.m)}h6`" stroke="currentColor" stroke-width="1.4" />
      <text :x="LEFT - 5" :y="yOf(t.m) + 4" text-anchor="end" fill="currentColor">{{ t.shown }} {{ length.unit }}</text>
    </g>
    <rect :x="LEFT + 8" v-bind="box(whole)" :width="W - LEFT - 16" fill="currentColor" fill-opacity=".12" />
    <g v-for="(b, i) in bands" :key="i" font-size="11">
      <rect
        v-bind="box(b)"
        :x="LEFT + 16 + i * step"
        :width="Math.min(22, step - 6)"
        fill="none"
        stroke="currentColor"
        stroke-width="1.6"
      />
      <text :x="LEFT + 16 + i * step" :y="H - 18" fill="currentColor">{{ i + 1 }}</text>
    </g>
    <rect v-bind="box(whole)" :x="W - 44" width="26" fill="currentColor" />
    <path :d="`M${W - 50} ${yOf(answer.visibilityM.best)}h38`" stroke="var(--page)" stroke-width="2.4" />
    <text :x="W - 56" :y="H - 18" font-size="11" font-weight="700" fill="currentColor">together</text>
  </svg>
</template>
