<script setup lang="ts">
import { SCHOOL_IDS } from '#core/words/schools'

/** How many of the seven schools lean towards a finish: so many of seven marks filled. */
defineProps<{ agree: number }>()
const [RADIUS, STEP] = [3.4, 9.6] as const
const ARC = `a${RADIUS} ${RADIUS} 0 1 0`
const ring = (i: number) => `M${1 + i * STEP} 5${ARC} ${2 * RADIUS} 0${ARC} -${2 * RADIUS} 0`
const rings = (from: number, to: number) => Array.from({ length: to - from }, (_, i) => ring(from + i)).join('')
</script>

<template>
  <svg width="68" height="10" viewBox="0 0 68 10" class="shrink-0" aria-hidden="true" stroke="var(--ink)">
    <path :d="rings(0, agree)" fill="var(--ink)" />
    <path :d="rings(agree, SCHOOL_IDS.length)" fill="none" stroke-width="1.2" />
  </svg>
</template>
