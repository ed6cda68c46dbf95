<script setup lang="ts">
import { nearest } from '#core/numeric/nearest'
import { rounded } from '#core/numeric/rounded'
import { computed, ref, watchEffect } from 'vue'
import DragHandle from '~/common/DragHandle.vue'
import { useDayScale } from './useDayScale'
import { useDayStore } from './store'
import { NIGHT_WATER, redTone } from '~/figures/tone'
import { useReadingStore } from '~/reading/store'
import { useSettingsStore } from '~/settings/store'
import { useUnits } from '~/settings/useUnits'
import { LURE_SHORT } from '~/words/options'

/** The water through the day by depth, how deep red and green light reach, and the depths the lures run at. */
const props = defineProps<{ height: number; reachM: number; stops: readonly number[]; phone: boolean }>()
const reading = useReadingStore()
const settings = useSettingsStore()
const day = useDayStore()
const { light, width, xOf, cursorMin } = useDayScale()
const { length, lengthText } = useUnits()
const yOf = (m: number) => (Math.min(m, props.reachM) / props.reachM) * props.height
const bottomM = computed(() => {
  const { waterM } = reading.reading
  return waterM !== null && waterM <= props.reachM ? waterM : null
})

/** The bed under the surface: level, or rising and sinking as the tide falls and rises. */
const tideAtX = computed(() => {
  const { tide } = day.set
  const known = tide && reading.reading.salinity !== 'fresh' ? tide : null
  return (light.value?.steps ?? []).map(s => {
    const near = nearest(known ?? [], s.atMin, t => t.atMin)
    return { x: xOf(s.atMin), heightM: near?.heightM ?? 0 }
  })
})
const bedY = (heightM: number) => yOf(Math.max(0.05, bottomM.value! + heightM))
const bed = computed(() => {
  if (bottomM.value === null) return ''
  const points = tideAtX.value.map(t => `L${t.x.toFixed(1)} ${bedY(t.heightM).toFixed(1)}`)
  return `M0 ${bedY(tideAtX.value[0]?.heightM ?? 0).toFixed(1)}${points.join('')}H${width.value}`
})
/** The lowest water, where the bed has room for words. */
const highest = computed(() =>
  tideAtX.value.reduce((a, b) => (b.heightM < a.heightM ? b : a), tideAtX.value[0] ?? { x: 0, heightM: 0 }),
)
/** Where the tide runs: it moves more than this in a step, m. */
const RUNS_M = 0.14
const runs = computed(() => {
  if (bottomM.value === null) return ''
  return tideAtX.value
    .slice(1)
    .map((b, i) => ({ a: tideAtX.value[i]!, b }))
    .filter(({ a, b }) => Math.abs(b.heightM - a.heightM) > RUNS_M)
    .map(
      ({ a, b }) => `M${a.x.toFixed(1)} ${bedY(a.heightM).toFixed(1)}L${b.x.toFixed(1)} ${bedY(b.heightM).toFixed(1)}`,
    )
    .join('')
})

/** The moments and depths as a small picture, which the browser stretches smoothly. */
const canvas = ref<HTMLCanvasElement | null>(null)
/** Rows of the small picture: enough that no step of depth shows. */
const ROWS = 24
watchEffect(() => {
  const steps = light.value?.steps
  const el = canvas.value
  if (!el || !steps?.length) return
  el.width = steps.length
  el.height = ROWS
  const pen = el.getContext('2d')!
  steps.forEach((s, i) => {
    const shade = pen.createLinearGradient(0, 0, 0, ROWS)
    props.stops.forEach((stop, k) => {
      const colour = s.colours[k]
      if (colour) shade.addColorStop(stop, settings.theme === 'night' ? redTone(colour, NIGHT_WATER) : colour)
    })
    pen.fillStyle = shade
    pen.fillRect(i, 0, 1, ROWS)
  })
})
const lineOf = (key: 'redM' | 'greenM') =>
  (light.value?.steps ?? [])
    .map((s, i) => `${i ? 'L' : 'M'}${xOf((s.atMin + s.endMin) / 2).toFixed(1)} ${yOf(s[key]).toFixed(1)}`)
    .join('')
const red = computed(() => lineOf('redM'))
const green = computed(() => lineOf('greenM'))
/** Words of a line stand on it where it is about level: at noon. */
const noon = computed(() => {
  const steps = light.value?.steps ?? []
  return steps.length ? steps.reduce((a, b) => (b.sunDeg > a.sunDeg ? b : a)) : null
})
const ink = computed(() => (settings.theme === 'night' ? 'var(--ink)' : '#fff'))
/** Light lines that run below the picture are not worded. */
const wordsOf = (m: number | undefined) => (m !== undefined && m < props.reachM * 0.97 ? yOf(m) : null)
const dark = computed(() => {
  const steps = light.value?.steps ?? []
  const lit = steps.filter(s => s.greenM > 0)
  if (!lit.length || lit.length === steps.length) return []
  return [
    { from: steps[0]!.atMin, to: lit[0]!.atMin },
    { from: lit.at(-1)!.endMin, to: steps.at(-1)!.endMin },
  ].filter(d => xOf(d.to) - xOf(d.from) > 58)
})

/** Lanes by depth: those that run alike share a flag. */
const flags = computed(() => {
  const depths = light.value?.depthsM ?? []
  const out: { m: number; lanes: number[] }[] = []
  day.set.lanes.forEach((_, i) => {
    const m = depths[i]
    if (m === undefined) return
    const near = out.find(f => Math.abs(yOf(f.m) - yOf(m)) < 12)
    if (near) near.lanes.push(i)
    else out.push({ m, lanes: [i] })
  })
  return out
})
function setDepth(lanes: readonly number[], m: number) {
  day.change({
    lanes: day.set.lanes.map((l, i) => (lanes.includes(i) ? { ...l, depthM: rounded(m, 2) } : l)),
  })
}
</script>

<template>
  <div class="relative overflow-hidden bg-bed2" :style="{ height: `${height}px` }">
    <canvas ref="canvas" class="absolute top-0 left-0" :style="{ width: `${width}px`, height: `${height}px` }" />
    <svg :width="width" :height="height" class="absolute top-0 left-0" aria-hidden="true">
      <path
        v-for="f in flags"
        :key="f.m"
        :d="`M0 ${yOf(f.m)}H${width}`"
        :stroke="ink"
        stroke-width="1.2"
        opacity=".85"
      />
      <path :d="red" fill="none" :stroke="ink" stroke-width="2" stroke-dasharray="6 5" />
      <path :d="green" fill="none" :stroke="ink" stroke-width="2" />
      <g class="figure" font-size="13" font-weight="700" :fill="ink" text-anchor="middle">
        <text v-if="noon && wordsOf(noon.redM) !== null" :x="width * 0.55" :y="wordsOf(noon.redM)! - 6">
          red light used up
        </text>
        <text v-if="noon && wordsOf(noon.greenM) !== null" :x="width * 0.72" :y="wordsOf(noon.greenM)! - 6">
          green light used up
        </text>
        <text
          v-for="d in dark"
          :key="d.from"
          :x="(xOf(d.from) + xOf(d.to)) / 2"
          :y="height * 0.62"
          :class="phone ? 'hidden' : ''"
        >
          no colour
        </text>
      </g>
      <g v-if="bed">
        <path :d="`${bed}V${height}H0Z`" fill="var(--bed)" />
        <path :d="bed" fill="none" stroke="var(--on-bed)" stroke-width="1.4" />
        <path :d="runs" fill="none" stroke="var(--on-bed)" stroke-width="4.5" />
        <text
          v-if="runs"
          class="figure"
          :x="Math.min(width - 150, Math.max(150, highest.x))"
          :y="Math.min(height - 7, bedY(highest.heightM) + 40)"
          text-anchor="middle"
          font-size="12.5"
          font-weight="700"
          fill="var(--on-bed)"
        >
          the bed by the tide: thick where it runs
        </text>
      </g>
    </svg>
    <DragHandle
      v-for="f in flags"
      :key="f.lanes.join()"
      :label="`Depth of ${f.lanes.map(i => LURE_SHORT[day.set.lanes[i]!.lure]).join(', ')}`"
      :value="f.m"
      :min="0"
      :max="bottomM ?? reachM"
      :step="0.1"
      :text="lengthText(f.m)"
      :x="22"
      :y="Math.min(height - 12, Math.max(12, yOf(f.m)))"
      :w="52"
      :h="44"
      grows="down"
      :move="(_dx, dy, from) => from + (dy / height) * reachM"
      @change="m => setDepth(f.lanes, m)"
    >
      <span class="flag figure text-small! font-bold">{{ Number(length.show(f.m).toFixed(1)) }}</span>
    </DragHandle>
    <span
      class="pointer-events-none absolute top-0 h-full w-px"
      :style="{ left: `${xOf(cursorMin)}px`, background: ink }"
    />
  </div>
</template>
