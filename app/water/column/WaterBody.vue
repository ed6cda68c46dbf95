<script setup lang="ts">
import { COLUMN_STOPS, useColumn } from './useColumn'

/** The water from its surface to its floor in the colours it has, with the beams of the sun. */
const c = useColumn()
</script>

<template>
  <svg :width="c.width.value" :height="c.height.value" class="absolute inset-0" aria-hidden="true">
    <defs>
      <linearGradient id="water" x1="0" y1="0" x2="0" y2="1">
        <stop v-for="(f, i) in COLUMN_STOPS" :key="f" :offset="f" :stop-color="c.colours.value[i]" />
      </linearGradient>
    </defs>
    <rect x="0" :y="c.skyH.value" :width="c.width.value" :height="c.waterH.value + c.bedH.value" fill="url(#water)" />
    <path
      v-for="i in 4"
      :key="i"
      :d="`M${c.width.value * (0.1 + 0.22 * i)} ${c.skyH.value}l${-60 - 14 * i} ${c.waterH.value}
        h${34 + 10 * i}l${54 + 6 * i} ${-c.waterH.value}Z`"
      fill="#fff"
      :fill-opacity="c.beams.value"
    />
  </svg>
</template>
