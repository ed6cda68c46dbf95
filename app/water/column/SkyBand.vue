<script setup lang="ts">
import { computed } from 'vue'
import { moonFraction, sunElevationDeg } from '#core/sky/sun'
import { useColumn } from './useColumn'
import { useReadingStore } from '~/reading/store'
import { CIVIL_DEG, DAY_MIN, HORIZON_DEG, atMinute, clock, minuteOfDay, sunThroughDay, sunWords } from '~/reading/clock'
import { sunRays } from '~/figures/sunRays'
import DragHandle from '~/common/DragHandle.vue'

/** The sun's path of the day with its hours and twilights, and the sun or moon to drag along it. */
const store = useReadingStore()
const { width, skyH, cloudX } = useColumn()
const s = computed(() => store.reading)
const minute = computed(() => minuteOfDay(s.value.timeMs, s.value.zone))
// The path depends on the day and the place, not on the hour: keyed so that dragging the sun does not work it out
// again.
const dayKey = computed(() =>
  [atMinute(s.value.timeMs, s.value.zone, 0), s.value.zone, s.value.latitude, s.value.longitude].join(),
)
const path = computed(() => {
  const [t, zone, lat, lon] = dayKey.value.split(',') as [string, string, string, string]
  return sunThroughDay(Number(t), zone, Number(lat), Number(lon))
})
const deg = computed(() =>
  sunElevationDeg({ timeMs: s.value.timeMs, latitudeDeg: s.value.latitude, longitudeDeg: s.value.longitude }),
)
const moon = computed(() => moonFraction(s.value.timeMs))
const isNight = computed(() => deg.value < CIVIL_DEG)

/** The day keeps clear of the cloud's and the wind's handles on the right. */
const [LEFT, RIGHT] = [14, 96] as const
const dayPx = computed(() => width.value - LEFT - RIGHT)
const xOf = (m: number) => LEFT + (m / DAY_MIN) * dayPx.value
const top = 24
const RAYS = sunRays(15, 21)
/** Breadth that the sun and its rays want to either side, px. */
const SUN_PX = 30
const yOf = (d: number) => skyH.value - 12 - (Math.max(0, d) / 90) * (skyH.value - 12 - top)
const line = computed(() =>
  path.value
    .filter(p => p.deg > 0)
    .map((p, i) => `${i ? 'L' : 'M'}${xOf(p.minute).toFixed(1)} ${yOf(p.deg).toFixed(1)}`)
    .join(''),
)
const sun = computed(() => ({ x: xOf(minute.value), y: yOf(deg.value) - (deg.value < HORIZON_DEG ? 10 : 0) }))
/** Minute at which the sun stands highest, and how long before and after the path is flat. */
const highest = computed(() => path.value.reduce((a, b) => (b.deg > a.deg ? b : a)).minute)
const FLAT_MIN = 150
/** Breadth of an hour's two figures, px. */
const FIGURES_PX = 16
const ticks = computed(() =>
  path.value
    .filter(p => p.minute % 180 === 0 && p.deg > 3)
    .map(p => {
      const x = xOf(p.minute)
      // Where the path is steep its hours stand outside it, else under it.
      const side = Math.abs(p.minute - highest.value) < FLAT_MIN ? 0 : Math.sign(p.minute - highest.value)
      const middle = x + side * (8 + FIGURES_PX / 2)
      const clearOf = (from: number, to: number) => middle + FIGURES_PX / 2 < from || middle - FIGURES_PX / 2 > to
      // The cloud's own words and its handle hide what is behind them, and the sun wants room for itself.
      const clear = clearOf(cloudX.value - 12, cloudX.value + 104) && Math.abs(x - sun.value.x) > SUN_PX
      return { x, y: yOf(p.deg), h: p.minute / 60, clear, side }
    }),
)
/** Breadth of an hour in figures with its handle's, and the height of a sky with room for all, px. */
const [HOUR_PX, ROOMY_PX] = [62, 130] as const
/** Where the path stands on the horizon: first and last light, with their hours. */
const feet = computed(() => {
  const points = path.value
  return points.slice(1).flatMap((b, i) => {
    const a = points[i]!
    const rises = a.deg < HORIZON_DEG && b.deg >= HORIZON_DEG
    const sets = a.deg >= HORIZON_DEG && b.deg < HORIZON_DEG
    if (!rises && !sets) return []
    const at = a.minute + ((HORIZON_DEG - a.deg) / (b.deg - a.deg)) * (b.minute - a.minute)
    // A low sky leaves them no room beside the cloud.
    if (skyH.value < ROOMY_PX && xOf(at) + HOUR_PX > cloudX.value) return []
    return [{ x: xOf(at), text: clock(Math.round(at)), rises }]
  })
})
const words = computed(() => sunWords(deg.value, moon.value))
function setMinute(m: number) {
  store.set({
    timeMs: atMinute(s.value.timeMs, s.value.zone, Math.round(Math.min(DAY_MIN - 1, Math.max(0, m)) / 5) * 5),
  })
}
</script>

<template>
  <svg :width="width" :height="skyH" class="absolute top-0 left-0" aria-hidden="true">
    <rect :width="width" :height="skyH" fill="var(--sky)" />
    <path :d="line" fill="none" stroke="var(--ink)" stroke-width="1.2" />
    <text
      v-for="f in feet"
      :key="f.text"
      class="figure"
      :x="f.x + (f.rises ? -5 : 5)"
      :y="skyH - 17"
      :text-anchor="f.rises ? 'end' : 'start'"
      font-size="12"
      fill="var(--ink2)"
    >
      {{ f.text }}
    </text>
    <g v-for="t in ticks" :key="t.h" class="figure">
      <path :d="`M${t.x} ${t.y - 4}v8`" stroke="var(--ink)" stroke-width="1.2" />
      <text
        v-if="t.clear"
        :x="t.x + 8 * t.side"
        :y="t.side ? t.y : skyH < 130 ? t.y - 8 : t.y + 17"
        :text-anchor="t.side ? (t.side < 0 ? 'end' : 'start') : 'middle'"
        font-size="12"
        fill="var(--ink2)"
      >
        {{ t.h }}
      </text>
    </g>
  </svg>
  <DragHandle
    label="Time of day"
    :value="minute"
    :min="0"
    :max="1439"
    :step="10"
    :text="`${clock(minute)}, ${words}`"
    :x="sun.x"
    :y="sun.y"
    :w="48"
    :h="48"
    :move="(dx, _dy, from) => from + (dx / dayPx) * DAY_MIN"
    @change="setMinute"
  >
    <svg viewBox="-24 -24 48 48" width="48" height="48" aria-hidden="true">
      <template v-if="isNight">
        <circle r="12" fill="var(--ink)" />
        <circle :cx="-12 * moon - 3" r="12" fill="var(--sky)" />
      </template>
      <template v-else>
        <path :d="RAYS" stroke="var(--ink)" stroke-width="1.4" />
        <circle
          r="12"
          :fill="deg >= HORIZON_DEG ? 'var(--sky2)' : 'none'"
          stroke="var(--ink)"
          stroke-width="1.6"
          :stroke-dasharray="deg < HORIZON_DEG ? '3 3' : undefined"
        />
      </template>
    </svg>
  </DragHandle>
  <!-- Before sunrise the path is low on the left, so this corner stays free of it. -->
  <p class="figure pointer-events-none absolute top-2 left-4 leading-tight" aria-hidden="true">
    <span class="block text-title font-bold max-sm:text-lead">{{ clock(minute) }}</span>
    <span v-if="skyH > 95" class="block text-note font-medium whitespace-nowrap">{{ words }}</span>
  </p>
</template>
