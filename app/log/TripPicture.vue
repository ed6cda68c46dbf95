<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed } from 'vue'
import { sunElevationDeg } from '#core/sky/sun'
import type { Tap, Trip } from './trip'

/**
 * One trip as a picture: how high the sun stood and how dark it was, with every tap on it; what took is drawn tall,
 * what was changed hangs under the line.
 */
const props = defineProps<{ trip: Trip; taps: readonly Tap[] }>()
const [W, H, STEPS] = [600, 110, 48]
const from = computed(() => Date.parse(props.trip.body.startedAt))
const to = computed(() => {
  const end = props.trip.body.endedAt ?? props.taps.at(-1)?.body.at
  return Math.max(from.value + 30 * 60_000, end ? Date.parse(end) : 0)
})
const xOf = (ms: number) => ((ms - from.value) / (to.value - from.value)) * W
/** From the sun this high to this low the picture darkens, degrees: civil twilight is in the middle of it. */
const [BRIGHT_DEG, DARK_DEG, DARKEST] = [6, -14, 0.55] as const
const heights = computed(() => {
  const { latitude: latitudeDeg = 35, longitude: longitudeDeg = -84 } = props.trip.body.asked.light?.at ?? {}
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const ms = from.value + ((to.value - from.value) * i) / STEPS
    return { x: xOf(ms), deg: sunElevationDeg({ timeMs: ms, latitudeDeg, longitudeDeg }) }
  })
})
const sun = computed(() =>
  heights.value
    .map(({ x, deg }, i) => `${i ? 'L' : 'M'}${x.toFixed(1)} ${(84 - Math.max(-10, deg) * 0.85).toFixed(1)}`)
    .join(''),
)
const dark = computed(() =>
  heights.value
    .slice(0, STEPS)
    .map(({ x, deg }) => ({
      x,
      opacity: DARKEST * Math.min(1, Math.max(0, (BRIGHT_DEG - deg) / (BRIGHT_DEG - DARK_DEG))),
    }))
    .filter(d => d.opacity > 0),
)
const CHANGES: readonly string[] = ['rod', 'rig', 'spot', 'depth', 'conditions']
const changes = computed(() =>
  props.taps.filter(t => CHANGES.includes(t.body.what)).map(t => ({ id: t.id, x: xOf(Date.parse(t.body.at)) })),
)
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
    <rect
      v-for="d in dark"
      :key="d.x"
      :x="d.x"
      y="0"
      :width="W / STEPS"
      shape-rendering="crispEdges"
      height="92"
      fill="#000"
      :opacity="d.opacity"
    />
    <path :d="sun" fill="none" stroke="var(--ink)" stroke-width="1.5" opacity="0.6" />
    <path :d="`M0 92H${W}`" stroke="var(--ink)" />
    <path v-for="s in strokes" :key="s.id" :d="`M${s.x} 92v-${s.tall}`" stroke="var(--ink)" :stroke-width="s.thick" />
    <path v-for="c in changes" :key="c.id" :d="`M${c.x} 92v5`" stroke="var(--ink)" />
    <text x="4" y="106" class="figure text-label" fill="var(--ink)">{{ clock(from) }}</text>
    <text :x="W - 4" y="106" text-anchor="end" class="figure text-label" fill="var(--ink)">{{ clock(to) }}</text>
  </svg>
</template>
