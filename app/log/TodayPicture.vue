<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { DateTime } from 'luxon'
import { computed, ref } from 'vue'
import { useFinish } from '~/box/useFinish'
import { useLogStore } from './store'
import { alike } from './alike'
import { byLight, heldRods, hungOf, lightThrough } from './today'
import { bitesOf, byRod, crewOf } from './trip'
import type { useRestOfDay } from './useRestOfDay'
import { LURE_SHORT, cap } from '~/words/options'
import HandFigure from '~/figures/HandFigure.vue'
import { counted } from '~/words/numbers'

/**
 * The trip under the light it happened in: light by halvings, past drawn whole and to come dashed, with what bit
 * hanging from it; beneath it who held which rod; and bites an hour by bands of light fixed beforehand.
 */
const props = defineProps<{
  nowMs: number
  rest: ReturnType<typeof useRestOfDay>
  /** The light alone, above the targets of a phone. */
  strip?: boolean
}>()
const log = useLogStore()
const { finishOf, finishName } = useFinish()
const box = ref<HTMLElement | null>(null)
const { width } = useElementSize(box)
const trip = computed(() => log.current!)
const HOUR_MS = 3_600_000
/** Changes to come: those of the trip, else where the engine's first pick changes. */
const changes = computed(() => {
  const { toCome, changes: told } = props.rest
  return (toCome.value.length ? toCome.value : (told.value ?? [])).map(c => ({ ...c, ms: Date.parse(c.at) }))
})
const tallies = computed(() => byRod(trip.value.body, log.taps, props.nowMs))
const lure = (rod: number) => cap(LURE_SHORT[props.rest.rods.value[rod]!.lure])
/** What is on each rod when: as it was held, and as it is to be tied on. */
const figures = computed(() =>
  lanes.value.flatMap(rod => {
    const mine = held.value.filter(h => h.rod === rod).sort((a, b) => a.fromMs - b.fromMs)
    const firsts = mine.filter((h, i) => h.finishId !== mine[i - 1]?.finishId)
    const begun = firsts.length ? firsts : [{ finishId: trip.value.body.rods[rod]!.finishId, fromMs: span.value.from }]
    const next = changes.value.filter(c => c.rod === rod).map(c => ({ finishId: c.finishId, fromMs: c.ms }))
    return [...begun, ...next].map((f, i, all) => ({
      ...f,
      rod,
      px: x(Math.max(f.fromMs, span.value.from)),
      room: x(all[i + 1]?.fromMs ?? span.value.to) - x(f.fromMs),
    }))
  }),
)
const FIGURE_PX = 62
/** From an hour before the trip to some hours after now. */
const span = computed(() => {
  const from = Date.parse(trip.value.body.startedAt) - HOUR_MS / 2
  return {
    from,
    to: Math.max(props.nowMs + 2 * HOUR_MS, from + 6 * HOUR_MS, ...changes.value.map(c => c.ms + HOUR_MS)),
  }
})
// Conditions alone make the light: a bite works none of it out anew.
const notes = alike(() => log.taps.filter(t => t.body.what === 'conditions'))
const light = computed(() => lightThrough(trip.value.body, notes.value, span.value.from, span.value.to))
const CHART = computed(() => (props.strip ? 74 : 148))
const LANE_PX = 58
/** Room for the words of a lane, px. */
const LEFT = computed(() => (props.strip ? 8 : 118))
const x = (ms: number) =>
  LEFT.value + ((width.value - LEFT.value - 8) * (ms - span.value.from)) / (span.value.to - span.value.from)
/** Light by halvings, from the brightest of the hours shown to the dimmest, at most so many below it. */
const MOST_HALVINGS = 12
const most = computed(() => 1.2 * Math.max(...light.value.map(p => p.lux)))
const least = computed(() =>
  Math.max(most.value / 2 ** MOST_HALVINGS, Math.min(most.value / 16, ...light.value.map(p => p.lux / 1.5))),
)
const y = (lux: number) =>
  12 +
  (CHART.value - 24) * (1 - Math.log(Math.max(lux, least.value) / least.value) / Math.log(most.value / least.value))
/** Lines of the picture, each a halving or several below the one before, in round thousands or as they are. */
const luxLines = computed(() => {
  const halvings = Math.log2(most.value / least.value)
  const every = 2 ** Math.max(1, Math.ceil(halvings / 6))
  const top = 80_000
  return Array.from({ length: 30 }, (_, i) => top / every ** i)
    .filter(lux => lux < most.value && lux > least.value)
    .map(lux => ({ y: y(lux), text: Number(lux.toPrecision(2)).toLocaleString('en') }))
})
const line = (points: typeof light.value) => points.map((p, i) => `${i ? 'L' : 'M'}${x(p.ms)} ${y(p.lux)}`).join('')
const past = computed(() => line(light.value.filter(p => p.ms <= props.nowMs)))
const toCome = computed(() => line(light.value.filter(p => p.ms >= props.nowMs - HOUR_MS / 8)))
/** The light is worked out at even steps: the nearest of them. */
const luxNear = (ms: number) => {
  const { from, to } = span.value
  const at = Math.round(((light.value.length - 1) * (ms - from)) / (to - from))
  return light.value[Math.min(light.value.length - 1, Math.max(0, at))]!.lux
}
const STROKE = { bite: 26, landed: 26, follow: 13 } as const
/** What hangs from the light, a path for each kind: thousands of taps are drawn as three things. */
const hung = computed(() => {
  const paths = { bite: '', landed: '', follow: '', lanes: '' }
  for (const { ms, rod, what } of hungOf(log.taps)) {
    const [px, py] = [x(ms).toFixed(1), y(luxNear(ms))]
    paths[what] += `M${px} ${py.toFixed(1)}v${STROKE[what]}${what === 'landed' ? 'm-6 1h12' : ''}`
    if (!props.strip) paths.lanes += `M${px} ${laneY(rod) + 34}v20`
  }
  return paths
})
const hours = computed(() => {
  const first = Math.ceil(span.value.from / HOUR_MS)
  const last = Math.floor(span.value.to / HOUR_MS)
  const every = Math.max(1, Math.ceil((last - first) / Math.max(3, Math.floor(width.value / 90))))
  return Array.from({ length: Math.floor((last - first) / every) + 1 }, (_, i) => (first + i * every) * HOUR_MS)
})
const clock = (ms: number) => DateTime.fromMillis(ms, { zone: props.rest.zone.value }).toFormat('HH:mm')
const lanes = computed(() => trip.value.body.rods.map((_, i) => i))
const held = computed(() => (props.strip ? [] : heldRods(trip.value, log.taps, props.nowMs)))
const laneY = (rod: number) => CHART.value + 26 + rod * LANE_PX
const height = computed(() => (props.strip ? CHART.value + 20 : laneY(lanes.value.length) + 4))
const bands = computed(() =>
  props.strip ? [] : byLight(trip.value, log.taps, props.nowMs).filter(b => b.hours > 0.02),
)
const crew = computed(() => crewOf(trip.value.body))
const mostPerHour = computed(() => Math.max(1, ...bands.value.map(b => b.perHour ?? 0)))
</script>

<template>
  <section :class="strip ? 'border-b-2 border-ink' : 'p-4'" aria-label="Light and bites">
    <div ref="box" class="relative w-full">
      <svg v-if="width" :width="width" :height="height" class="block" aria-hidden="true">
        <rect
          :x="strip ? 0 : LEFT"
          :width="strip ? width : Math.max(0, width - LEFT - 8)"
          :height="CHART"
          fill="var(--sky)"
        />
        <g v-if="!strip" class="figure text-note" fill="var(--ink)">
          <text y="16" class="font-semibold">Light on</text>
          <text y="31" class="font-semibold">the water, lux</text>
          <template v-for="l in luxLines" :key="l.text">
            <path :d="`M${LEFT - 4} ${l.y}H${width - 8}`" stroke="var(--hair)" />
            <text v-if="l.y > 40" :x="LEFT - 8" :y="l.y + 4" text-anchor="end">{{ l.text }}</text>
          </template>
        </g>
        <path :d="toCome" fill="none" stroke="var(--ink)" stroke-width="1.6" stroke-dasharray="4 4" />
        <path :d="past" fill="none" stroke="var(--ink)" stroke-width="3.4" />
        <path :d="`M0 ${CHART}H${width}`" stroke="var(--ink)" />
        <g stroke="var(--ink)" fill="none">
          <path :d="hung.bite + hung.landed" stroke-width="4" />
          <path :d="hung.follow" stroke-width="1.4" />
          <path :d="hung.lanes" stroke-width="1.6" />
        </g>
        <path :d="`M${x(nowMs)} 0V${height}`" stroke="var(--ink)" stroke-width="2" />
        <g v-for="c in changes" :key="`${c.rod} ${c.ms}`">
          <path :d="`M${x(c.ms)} 0V${CHART}`" stroke="var(--ink)" stroke-dasharray="2 3" />
          <path v-if="!strip" :d="`M${x(c.ms)} ${laneY(c.rod)}v${LANE_PX}`" stroke="var(--ink)" stroke-width="1.6" />
          <circle :cx="x(c.ms)" :cy="CHART" r="5" fill="var(--page)" stroke="var(--ink)" stroke-width="2" />
        </g>
        <g class="figure text-note">
          <text v-for="ms in hours" :key="ms" :x="x(ms)" :y="CHART + 16" text-anchor="middle" fill="var(--ink2)">
            {{ clock(ms) }}
          </text>
        </g>
        <template v-if="!strip">
          <g v-for="i in lanes" :key="i">
            <path :d="`M0 ${laneY(i) + LANE_PX - 1}H${width}`" stroke="var(--hair)" />
            <g class="figure" fill="var(--ink)">
              <text x="0" :y="laneY(i) + 16" class="text-small font-bold">{{ lure(i) }}</text>
              <text x="0" :y="laneY(i) + 32" class="text-note">
                {{ Math.floor(tallies[i]!.minutes) }} min, {{ counted(bitesOf(tallies[i]!), 'bite') }}
              </text>
            </g>
            <rect
              v-for="h in held.filter(s => s.rod === i)"
              :key="`${h.who} ${h.fromMs}`"
              :x="x(h.fromMs)"
              :y="laneY(i) + 40"
              :width="Math.max(1, x(h.toMs) - x(h.fromMs))"
              height="9"
              :fill="h.who === 0 ? 'var(--ink)' : h.who === 1 ? 'var(--page)' : 'var(--plate)'"
              stroke="var(--ink)"
              stroke-width="1.6"
              :stroke-dasharray="h.who === 2 ? '2 2' : undefined"
            />
          </g>
        </template>
      </svg>
      <template v-if="!strip && width">
        <span
          v-for="f in figures"
          :key="`${f.rod} ${f.finishId} ${f.fromMs}`"
          class="absolute flex h-8 items-center gap-2 overflow-hidden"
          :style="{ left: `${f.px + 2}px`, top: `${laneY(f.rod) + 4}px`, width: `${Math.max(0, f.room - 4)}px` }"
          aria-hidden="true"
        >
          <span class="block h-7 shrink-0" :style="{ width: `${FIGURE_PX}px` }">
            <HandFigure v-if="finishOf(f.finishId)" :finish="finishOf(f.finishId)!" :line="2.6" />
          </span>
          <span v-if="f.room > 150" class="truncate text-note">{{ finishName(f.finishId) }}</span>
        </span>
      </template>
    </div>
    <template v-if="!strip">
      <table class="off">
        <caption>What each rod has done</caption>
        <tr v-for="h in held" :key="`${h.rod} ${h.who} ${h.fromMs}`">
          <th scope="row">Rod {{ h.rod + 1 }}, {{ finishName(h.finishId) }}</th>
          <td>{{ crew[h.who] }} {{ clock(h.fromMs) }} to {{ clock(h.toMs) }}</td>
        </tr>
      </table>
      <h2 class="figure mt-4 text-value font-bold">Bites an hour, by the light</h2>
      <ul>
        <li
          v-for="b in bands"
          :key="b.words"
          class="grid grid-cols-[170px_1fr_120px] items-center gap-3 border-b border-hair py-1.5"
        >
          <b>{{ b.words }}</b>
          <span
            class="h-2.5 bg-ink"
            :style="{ width: `${(100 * (b.perHour ?? 0)) / mostPerHour}%` }"
            aria-hidden="true"
          />
          <span class="text-right">
            <template v-if="b.perHour !== null">{{ b.perHour.toFixed(1) }} an hour</template>
            <template v-else>too soon to say</template>
            <span class="block text-note text-ink2">{{ counted(b.bites, 'bite') }} in {{ b.hours.toFixed(1) }} h</span>
          </span>
        </li>
      </ul>
      <p class="pt-2 text-note text-ink2">
        The bands were set before any bite. Thick: the light so far; dashed: as it is foretold by the sky noted last.
      </p>
    </template>
  </section>
</template>
