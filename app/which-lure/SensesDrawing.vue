<script setup lang="ts">
import { computed } from 'vue'
import type { HereLure } from '#core/which-lure/answer'
import { useUnits } from '~/settings/useUnits'

/**
 * How far a lure is found, on one scale for three senses: thick to where its colour shows, thin to where its shape
 * does; a wave that dies between the ends of the band of feel; dashes that fade over what can be heard.
 */
const props = defineProps<{ lure: HereLure; scaleM: number; width: number; height: number }>()
const { lengthText } = useUnits()
/** Room on the right for the number, and on the left, px. */
const ROOM = { left: 8, right: 58 } as const
const per = computed(() => (props.width - ROOM.left - ROOM.right) / props.scaleM)
const at = (m: number) => ROOM.left + m * per.value
const rows = computed(() => [0.24, 0.52, 0.8].map(share => share * props.height))
const sightX = computed(() => at(props.lure.seen.sightM))
const colourX = computed(() => at(Math.min(props.lure.seen.sightM, props.lure.seen.colourM)))
const HALF_WAVE = 5
/** The wave: whole to the sure end of the band, dying by the other. */
const wave = computed(() => {
  const { lowM, highM } = props.lure.felt
  const [sure, end] = [at(lowM), at(highM)]
  const y = rows.value[1]!
  let d = `M${ROOM.left} ${y}`
  for (let x = ROOM.left, up = -1; x < end; x += HALF_WAVE, up = -up) {
    const left = x <= sure ? 1 : Math.max(0.12, (end - x) / Math.max(1, end - sure))
    d += `q${HALF_WAVE / 2} ${up * 7 * left} ${HALF_WAVE} 0`
  }
  return d
})
const DASH = 12
/** Dashes as far as it may be heard, each fainter and thinner. */
const dashes = computed(() => {
  if (!props.lure.heard) return []
  const end = Math.min(props.width - 6, at(props.lure.heard.highM))
  const count = Math.max(2, Math.floor((end - ROOM.left) / DASH))
  return Array.from({ length: count }, (_, i) => ({
    x: ROOM.left + i * DASH,
    strength: 1 - (0.8 * i) / count,
  }))
})
</script>

<template>
  <svg :width="width" :height="height" class="block" aria-hidden="true">
    <path :d="`M${ROOM.left} ${rows[0]}H${colourX}`" stroke="currentColor" stroke-width="6" />
    <path :d="`M${colourX} ${rows[0]}H${sightX}m0 -6v12`" stroke="currentColor" stroke-width="1.6" fill="none" />
    <text :x="sightX + 6" :y="rows[0]! + 5" fill="currentColor" class="figure text-bar font-semibold">
      {{ lengthText(lure.seen.sightM) }}
    </text>
    <path :d="wave" fill="none" stroke="currentColor" stroke-width="1.6" />
    <text v-if="!lure.heard" :x="ROOM.left" :y="rows[2]! + 4" fill="currentColor" class="figure text-note">
      {{ lure.silent ? 'silent' : 'hardly heard' }}
    </text>
    <path
      v-for="d in dashes"
      :key="d.x"
      :d="`M${d.x} ${rows[2]}h${DASH * 0.55}`"
      stroke="currentColor"
      :stroke-width="1 + 2 * d.strength"
      :stroke-opacity="d.strength"
    />
  </svg>
</template>
