<script setup lang="ts">
import { computed } from 'vue'
import { WINDS } from '#core/sky/weather'
import DragHandle from '~/common/DragHandle.vue'
import { useDayScale } from './useDayScale'
import { useDayStore } from './store'
import { sunRays } from '~/figures/sunRays'
import { clock } from '~/reading/clock'
import { useSettingsStore } from '~/settings/store'
import { VOCABULARY } from '#shared/vocabulary'
import { cap } from '~/words/options'

/** The sky of the day: cloud from above, the sun's and the moon's paths, the wind on the water. */
const props = defineProps<{ height: number }>()
const emit = defineEmits<{ hour: [min: number] }>()
const day = useDayStore()
const settings = useSettingsStore()
const { light, width, fromMin, toMin, xOf, minOf, cursorMin } = useDayScale()

/** The deepest that cloud hangs, and the least that is kept of the sky over the water, px. */
const CLOUD_PX = computed(() => props.height * 0.36)
const cloudY = (cloud: number) => cloud * CLOUD_PX.value
const hour = computed(() => Math.min(23, Math.max(0, Math.floor(cursorMin.value / 60))))
const now = computed(() => day.hours[hour.value]!)
/** Cloud between the hours, as the engine takes it. */
function cloudAt(min: number): number {
  const h = Math.min(23, Math.max(0, min / 60))
  const [a, b] = [day.hours[Math.floor(h)]!, day.hours[Math.min(23, Math.ceil(h))]!]
  return a.cloud + (b.cloud - a.cloud) * (h - Math.floor(h))
}
const RAYS = sunRays(14, 19)
/** Breadth of the flags of depth at the left of the water, px. */
const FLAGS_PX = 52
/** Breadth of a word of the sky, px. */
const WORD_PX = 56
/** Breadth of a scallop of the cloud's edge, px. */
const LOBE = 22
const lobes = computed(() => Math.max(1, Math.round(width.value / LOBE)))
const edge = computed(() => {
  const w = width.value / lobes.value
  return Array.from({ length: lobes.value + 1 }, (_, i) => ({ x: i * w, y: cloudY(cloudAt(minOf(i * w))) }))
})
const cloudPath = computed(() => {
  const [first, ...rest] = edge.value
  let d = `M0 0V${first!.y.toFixed(1)}`
  let from = first!
  for (const p of rest) {
    const sag = Math.min(7, Math.max(from.y, p.y) * 0.5)
    const [x, y] = [(from.x + p.x) / 2, (from.y + p.y) / 2 + sag]
    d += `Q${x.toFixed(1)} ${y.toFixed(1)} ${p.x.toFixed(1)} ${p.y.toFixed(1)}`
    from = p
  }
  return `${d}V0Z`
})
const hatch = computed(() =>
  Array.from({ length: Math.floor(CLOUD_PX.value / 5) }, (_, i) => `M0 ${i * 5 + 3}H${width.value}`).join(''),
)
/** The lowest and the highest the paths go: clear of the cloud when there is little, and of the water's words. */
const yOf = (deg: number) => props.height - (Math.max(0, deg) / 90) * (props.height - 16) - 1
const pathOf = (key: 'sunDeg' | 'moonDeg') => {
  let d = ''
  let down = true
  for (const p of light.value?.paths ?? []) {
    if (p[key] > 0) d += `${down ? 'M' : 'L'}${xOf(p.min).toFixed(1)} ${yOf(p[key]).toFixed(1)}`
    down = p[key] <= 0
  }
  return d
}
const sunPath = computed(() => pathOf('sunDeg'))
const moonPath = computed(() => pathOf('moonDeg'))
const degAt = (key: 'sunDeg' | 'moonDeg', min: number) => {
  const paths = light.value?.paths ?? []
  const i = paths.findIndex(p => p.min >= min)
  if (i < 0) return paths.at(-1)?.[key] ?? 0
  if (i === 0) return paths[0]![key]
  const [a, b] = [paths[i - 1]!, paths[i]!]
  return a[key] + ((b[key] - a[key]) * (min - a.min)) / (b.min - a.min)
}
const sunDeg = computed(() => degAt('sunDeg', cursorMin.value))
const x = computed(() => xOf(cursorMin.value))
const sunY = computed(() => yOf(sunDeg.value))
const moonTop = computed(() =>
  (light.value?.paths ?? []).reduce((a, b) => (b.moonDeg > a.moonDeg ? b : a), { min: 0, moonDeg: -1, sunDeg: 0 }),
)
const feet = computed(() => {
  const { sunrise = null, sunset = null } = light.value?.sun ?? {}
  return [
    { min: sunrise, words: 'up' },
    { min: sunset, words: 'down' },
  ].flatMap(f => (f.min === null ? [] : [{ x: xOf(f.min), text: `${f.words} ${clock(f.min)}`, up: f.words === 'up' }]))
})
/** Stretches of one wind. */
const winds = computed(() => {
  const out: { from: number; to: number; wind: (typeof VOCABULARY.wind)[number] }[] = []
  for (let h = Math.floor(fromMin.value / 60); h * 60 < toMin.value; h++) {
    const { wind } = day.hours[h % 24]!
    const last = out.at(-1)
    if (last?.wind === wind) last.to = (h + 1) * 60
    else out.push({ from: h * 60, to: (h + 1) * 60, wind })
  }
  return out.map(w => ({
    ...w,
    x: Math.max(0, xOf(w.from)),
    x2: Math.min(width.value, xOf(w.to)),
    words: WINDS[w.wind].words,
  }))
})
/** Words of a wind stand where it begins, clear of the flags and of the hour's handle. */
const windWords = computed(() =>
  winds.value.filter(w => {
    const from = Math.max(w.x, FLAGS_PX)
    return w.x2 - from > WORD_PX && (x.value < from - 14 || x.value > from + WORD_PX)
  }),
)
const onWater = computed(() => (settings.theme === 'night' ? 'var(--ink)' : '#fff'))
const HEIGHTS = [0.7, 1.8, 3.2, 5]
const waves = computed(() =>
  winds.value
    .map(({ x, x2, wind }) => {
      const level = VOCABULARY.wind.indexOf(wind)
      const l = 14 + 4 * level
      const n = Math.max(1, Math.round((x2 - x) / l))
      const w = (x2 - x) / n
      const up = HEIGHTS[level]! * 1.4
      return `M${x.toFixed(1)} ${props.height}${`q${w / 4} ${-up} ${w / 2} 0t${w / 2} 0`.repeat(n)}`
    })
    .join(''),
)
const storms = computed(() =>
  (light.value?.steps ?? [])
    .filter(s => s.rain || s.lightning)
    .map(s => ({ x: xOf(s.atMin), w: xOf(s.endMin) - xOf(s.atMin), y: cloudY(s.cloud) })),
)
const rain = computed(() =>
  storms.value
    .map(s =>
      Array.from({ length: Math.max(2, Math.round(s.w / 8)) }, (_, i) => `M${s.x + 3 + i * 8} ${s.y + 4}l-5 18`).join(
        '',
      ),
    )
    .join(''),
)
const level = computed(() => VOCABULARY.wind.indexOf(now.value.wind))
const cloudText = computed(() => `${Math.round(now.value.cloud * 100)} % at ${hour.value}:00`)
</script>

<template>
  <div class="relative z-10 overflow-visible bg-sky" :style="{ height: `${height}px` }">
    <svg :width="width" :height="height + 6" class="absolute top-0 left-0" aria-hidden="true">
      <defs>
        <clipPath id="day-cloud"><path :d="cloudPath" /></clipPath>
      </defs>
      <path :d="cloudPath" fill="var(--sky2)" stroke="var(--ink)" stroke-width="1.1" />
      <path :d="hatch" clip-path="url(#day-cloud)" stroke="var(--ink)" stroke-width=".6" opacity=".55" />
      <path :d="rain" stroke="var(--ink)" stroke-width="1.3" fill="none" />
      <path :d="moonPath" fill="none" stroke="var(--ink)" stroke-width="1" stroke-dasharray="2 4" />
      <path :d="sunPath" fill="none" stroke="var(--ink)" stroke-width="1.4" />
      <text
        v-for="f in feet"
        :key="f.text"
        class="figure"
        :x="f.x + (f.up ? 4 : -4)"
        :y="height - 20"
        :text-anchor="f.up ? (f.x > 70 ? 'end' : 'start') : f.x < width - 70 ? 'start' : 'end'"
        :dx="f.up && f.x > 70 ? -8 : f.up ? 0 : f.x < width - 70 ? 8 : 0"
        font-size="12.5"
        font-weight="600"
        fill="var(--ink)"
      >
        {{ f.text }}
      </text>
      <text
        v-if="moonTop.moonDeg > 4 && Math.abs(xOf(moonTop.min) - x) > WORD_PX"
        class="figure"
        :x="Math.min(width - 76, Math.max(4, xOf(moonTop.min) - 34))"
        :y="yOf(moonTop.moonDeg) - 6"
        font-size="12.5"
        font-weight="600"
        fill="var(--ink)"
      >
        moon {{ Math.round((light?.moon.fraction ?? 0) * 100) }} %
      </text>
      <path :d="waves" fill="none" stroke="var(--ink)" stroke-width="1.7" />
    </svg>
    <DragHandle
      label="Hour of the day, by the sun"
      :value="cursorMin"
      :min="fromMin"
      :max="toMin"
      :step="10"
      :text="`${clock(cursorMin)}, sun ${Math.round(sunDeg)} degrees`"
      :x="x"
      :y="sunY"
      :w="44"
      :h="44"
      :move="(dx, _dy, from) => from + minOf(dx) - minOf(0)"
      @change="m => emit('hour', m)"
    >
      <svg viewBox="-22 -22 44 44" width="44" height="44" aria-hidden="true">
        <path :d="RAYS" stroke="var(--ink)" stroke-width="1.4" />
        <circle
          r="11"
          fill="var(--sky2)"
          stroke="var(--ink)"
          stroke-width="1.7"
          :stroke-dasharray="sunDeg < -0.8 ? '3 3' : undefined"
        />
      </svg>
    </DragHandle>
    <DragHandle
      label="Cloud at this hour"
      :value="now.cloud"
      :min="0"
      :max="1"
      :step="0.05"
      :text="cloudText"
      :x="x"
      :y="cloudY(now.cloud)"
      grows="down"
      :move="(_dx, dy, from) => from + dy / CLOUD_PX"
      @change="v => day.pullCloud(hour, v)"
    >
      <span class="grip" aria-hidden="true">▴▾</span>
    </DragHandle>
    <DragHandle
      label="Wind at this hour"
      :value="level"
      :min="0"
      :max="3"
      :step="1"
      :text="cap(WINDS[now.wind].words)"
      :x="x"
      :y="height"
      grows="up"
      :move="(_dx, dy, from) => from - dy / 20"
      @change="v => day.setHour(hour, { wind: VOCABULARY.wind[Math.round(v)]! })"
    >
      <span class="grip" aria-hidden="true">▴▾</span>
    </DragHandle>
    <div class="pointer-events-none absolute inset-x-0 top-full z-10 h-6" aria-hidden="true">
      <span
        v-for="w in windWords"
        :key="w.from"
        class="figure absolute top-1.5 border-l pl-1 text-note font-semibold"
        :style="{ left: `${Math.max(w.x, FLAGS_PX)}px`, color: onWater, borderColor: onWater }"
      >
        {{ w.words }}
      </span>
    </div>
  </div>
</template>

<style scoped>
.grip {
  display: flex;
  width: 20px;
  height: 26px;
  align-items: center;
  justify-content: center;
  writing-mode: vertical-rl;
  border: 1.5px solid var(--ink);
  background: var(--sky2);
  color: var(--ink);
  font-size: 9px;
  line-height: 1;
}
</style>
