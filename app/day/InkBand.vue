<script setup lang="ts">
import { computed } from 'vue'
import type { StepScores } from '#core/day/scores'
import { useDayScale } from './useDayScale'

/** How much colour decides, step by step: the thicker the more, broken where another kind scores as well. */
const props = defineProps<{ steps: readonly (StepScores | null)[] }>()
const { light, xOf, width } = useDayScale()
const PX = { little: 1.4, some: 3.2, much: 5.6 } as const
interface Run {
  x: number
  x2: number
  px: number
  tossUp: boolean
}
const runs = computed(() => {
  const out: Run[] = []
  props.steps.forEach((s, i) => {
    const step = light.value?.steps[i]
    if (!s || !step) return
    const run = { x: xOf(step.atMin), x2: xOf(step.endMin), px: PX[s.matters], tossUp: s.tossUp }
    const last = out.at(-1)
    if (last && last.px === run.px && last.tossUp === run.tossUp && Math.abs(last.x2 - run.x) < 0.5) last.x2 = run.x2
    else out.push(run)
  })
  return out
})
</script>

<template>
  <svg :width="width" height="8" class="block" aria-hidden="true">
    <path
      v-for="r in runs"
      :key="r.x"
      :d="`M${r.x} 4H${r.x2}`"
      stroke="var(--ink)"
      :stroke-width="r.px"
      :stroke-dasharray="r.tossUp ? '3 3' : undefined"
    />
  </svg>
</template>
