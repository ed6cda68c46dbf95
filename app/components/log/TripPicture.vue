<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed } from 'vue'
import { sunElevationDeg } from '#core/sky/sun'
import type { Tap, Trip } from '~/log/trip'

/** One trip as a picture: how high the sun stood, and every tap on it; what took is drawn tall. */
const props = defineProps<{ trip: Trip; taps: readonly Tap[] }>()
const [W, H, STEPS] = [600, 110, 48]
const from = computed(() => Date.parse(props.trip.body.startedAt))
const to = computed(() => {
  const end = props.trip.body.endedAt ?? props.taps.at(-1)?.body.at
  return Math.max(from.value + 30 * 60_000, end ? Date.parse(end) : 0)
})
const xOf = (ms: number) => ((ms - from.value) / (to.value - from.value)) * W
const sun = computed(() => {
  const { latitude: latitudeDeg = 35, longitude: longitudeDeg = -84 } = props.trip.body.asked.light?.at ?? {}
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const ms = from.value + ((to.value - from.value) * i) / STEPS
    const high = sunElevationDeg({ timeMs: ms, latitudeDeg, longitudeDeg })
    return `${i ? 'L' : 'M'}${xOf(ms).toFixed(1)} ${(84 - Math.max(-10, high) * 0.85).toFixed(1)}`
  }).join('')
})
const TALL = { landed: 40, bite: 28, miss: 28, follow: 16 } as const
const strokes = computed(() =>
  props.taps.flatMap(t => {
    const tall = TALL[t.body.what as keyof typeof TALL]
    return tall ? [{ id: t.id, x: xOf(Date.parse(t.body.at)), tall, thick: t.body.what === 'landed' ? 3 : 1.5 }] : []
  }),
)
const clock = (ms: number) => DateTime.fromMillis(ms).toFormat('HH:mm')
</script>

<template>
  <svg :viewBox="`0 0 ${W} ${H}`" class="w-full bg-sky" role="img" aria-label="The sun and the bites of the trip">
    <path :d="sun" fill="none" stroke="var(--ink)" stroke-width="1.5" opacity="0.6" />
    <path :d="`M0 92H${W}`" stroke="var(--ink)" />
    <path v-for="s in strokes" :key="s.id" :d="`M${s.x} 92v-${s.tall}`" stroke="var(--ink)" :stroke-width="s.thick" />
    <text x="4" y="106" class="figure text-label" fill="var(--ink)">{{ clock(from) }}</text>
    <text :x="W - 4" y="106" text-anchor="end" class="figure text-label" fill="var(--ink)">{{ clock(to) }}</text>
  </svg>
</template>
