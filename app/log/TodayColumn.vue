<script setup lang="ts">
import { computed } from 'vue'
import { WINDS } from '#core/sky/weather'
import { sunElevationDeg } from '#core/sky/sun'
import { LURES } from '#core/lure/types'
import { usualDepthM } from '#core/request/resolve'
import { useFinish } from '~/box/useFinish'
import { localTime } from '~/reading/clock'
import { cloudOf } from './restOfDay'
import { useLogStore } from './store'
import { crewOf, depthNow, rodNow } from './trip'
import type { useRestOfDay } from './useRestOfDay'
import { NIGHT_WATER, redTone } from '~/figures/tone'
import { useSettingsStore } from '~/settings/store'
import { useUnits } from '~/settings/useUnits'
import { cap } from '~/words/options'
import HandFigure from '~/figures/HandFigure.vue'

/** The water now, small: sky, sun and wind over its colours, the disc, and what is in hand at its depth. */
const props = defineProps<{ nowMs: number; rest: ReturnType<typeof useRestOfDay> }>()
const log = useLogStore()
const settings = useSettingsStore()
const { finishOf } = useFinish()
const { length, lengthText } = useUnits()
const noted = computed(() => props.rest.noted.value!)
const trip = computed(() => log.current!.body)
const [W, SKY, WATER, BED] = [226, 66, 118, 16] as const
const sunDeg = computed(() => {
  const { at, sunElevationDeg: told } = noted.value.light
  if (!at) return told ?? 0
  return sunElevationDeg({ timeMs: props.nowMs, latitudeDeg: at.latitude, longitudeDeg: at.longitude })
})
/** Each in hand at its depth. */
const lures = computed(() => {
  const { water } = noted.value
  return crewOf(trip.value).flatMap((name, who) => {
    const rod = rodNow(log.taps, who)
    const rig = props.rest.rods.value[rod]
    if (!rig) return []
    const told = depthNow(trip.value, log.taps, rod)
    const depthM = told ?? usualDepthM(rig.lure, water.depthM ?? null, water.visibilityM)
    return [{ who, name: name || cap(LURES[rig.lure].words), rig, depthM }]
  })
})
const deepestM = computed(() => {
  const { depthM, visibilityM } = noted.value.water
  return depthM ?? Math.max(2, 1.3 * visibilityM, ...lures.value.map(l => 1.3 * l.depthM))
})
const y = (m: number) => SKY + (WATER * Math.min(m, deepestM.value)) / deepestM.value
const discY = computed(() => Math.min(SKY + WATER - 34, y(noted.value.water.visibilityM)))
const ticks = computed(() => {
  const { show, read } = length.value
  const most = show(deepestM.value)
  const every = [0.5, 1, 2, 5, 10].find(s => most / s <= 6) ?? 20
  return Array.from({ length: Math.floor(most / every) }, (_, i) => (i + 1) * every).map(v => ({ v, y: y(read(v)) }))
})
const colours = computed(() => {
  const told = props.rest.light.value?.steps[0]?.colours ?? []
  return settings.theme === 'night' ? told.map(c => redTone(c, NIGHT_WATER)) : told
})
/** White reads on water of any colour; night keeps red. */
const ink = computed(() => (settings.theme === 'night' ? 'var(--ink)' : '#fff'))
const stopAt = (i: number) => Math.min(1, props.rest.depthsM.value[i]! / deepestM.value)
const cloudW = computed(() => W * (0.16 + 0.44 * cloudOf(noted.value)))
const scallops = computed(() => {
  const n = Math.max(2, Math.round(cloudW.value / 24))
  const step = cloudW.value / n
  return `M${W - cloudW.value} 44${`a${step / 2} 8 0 0 1 ${step} 0`.repeat(n)}`
})
const WAVES = { calm: 0, ripple: 2, chop: 4, strong: 6 } as const
const surface = computed(() => {
  const h = WAVES[noted.value.light.wind ?? 'calm']
  return `M0 ${SKY}${`q6 ${-h} 12 0 t12 0`.repeat(Math.ceil(W / 24))}`
})
const LURE_X = [26, 84, 142] as const
/** The names of lures that run at like depths stand under and over them by turns. */
const nameY = (l: { who: number; depthM: number }) => Math.min(SKY + WATER - 4, y(l.depthM) + (l.who % 2 ? -13 : 22))
const words = computed(() => {
  const said = lures.value.map(l => `${l.name} ${lengthText(l.depthM)}`).join(', ')
  const { visibilityM } = noted.value.water
  return `Sun ${Math.round(sunDeg.value)}°, cloud ${Math.round(100 * cloudOf(noted.value))} %, ${
    WINDS[noted.value.light.wind ?? 'calm'].words
  }; disc ${lengthText(visibilityM)}; ${said}.`
})
</script>

<template>
  <div class="relative shrink-0 border-r-2 border-ink" role="img" :aria-label="words" :style="{ width: `${W}px` }">
    <svg :width="W" :height="SKY + WATER + BED" class="block overflow-hidden" aria-hidden="true">
      <defs>
        <linearGradient id="today-water" x1="0" y1="0" x2="0" y2="1">
          <stop v-for="(colour, i) in colours" :key="i" :offset="stopAt(i)" :stop-color="colour" />
        </linearGradient>
      </defs>
      <rect :width="W" :height="SKY" fill="var(--sky)" />
      <rect :y="SKY" :width="W" :height="WATER" :fill="colours.length ? 'url(#today-water)' : 'var(--plate)'" />
      <rect :y="SKY + WATER" :width="W" :height="BED" fill="var(--bed)" />
      <circle
        v-if="sunDeg > 0"
        :cx="W - cloudW"
        cy="28"
        r="10"
        fill="var(--sky2)"
        stroke="var(--ink)"
        stroke-width="1.6"
      />
      <path :d="`${scallops}H${W - cloudW}Z`" fill="var(--sky2)" stroke="var(--ink)" stroke-width="1.4" />
      <path :d="surface" fill="none" stroke="var(--ink)" stroke-width="2.4" />
      <g class="figure text-note font-semibold" fill="var(--ink)">
        <text x="10" y="22" class="text-value font-bold">
          {{ localTime(nowMs, rest.zone.value).toFormat('HH:mm') }}
        </text>
        <text :x="W - 8" y="18" text-anchor="end">sun {{ Math.round(sunDeg) }}°</text>
        <text :x="W - 8" y="60" text-anchor="end">
          cloud {{ Math.round(100 * cloudOf(noted)) }} %, {{ WINDS[noted.light.wind ?? 'calm'].words }}
        </text>
      </g>
      <g class="on-water figure text-note font-semibold" :fill="ink" :stroke="ink">
        <template v-for="t in ticks" :key="t.v">
          <path :d="`M0 ${t.y}h6`" />
          <text x="10" :y="t.y + 4">{{ t.v }}</text>
        </template>
        <path :d="`M${W - 24} ${SKY}V${discY}`" stroke-width="1.2" />
        <text :x="W - 8" :y="discY + 17" text-anchor="end">disc</text>
        <text :x="W - 8" :y="discY + 31" text-anchor="end">{{ lengthText(noted.water.visibilityM) }}</text>
        <ellipse :cx="W - 24" :cy="discY" rx="13" ry="4" :fill="ink" fill-opacity="0.6" />
        <text v-for="l in lures" :key="l.who" :x="LURE_X[l.who]" :y="nameY(l)">
          {{ l.name.slice(0, 9) }} {{ lengthText(l.depthM) }}
        </text>
      </g>
    </svg>
    <span
      v-for="l in lures"
      :key="l.who"
      class="absolute block h-6 w-14"
      :style="{ left: `${LURE_X[l.who]}px`, top: `${y(l.depthM) - 12}px` }"
      aria-hidden="true"
    >
      <HandFigure v-if="finishOf(l.rig.finishId)" :finish="finishOf(l.rig.finishId)!" :line="2.6" />
    </span>
  </div>
</template>

<style scoped>
.on-water text {
  stroke: none;
}
</style>
