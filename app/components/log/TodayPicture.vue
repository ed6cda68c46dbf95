<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { DateTime } from 'luxon'
import { computed, ref } from 'vue'
import { useFinish } from '~/box/useFinish'
import { useLogStore } from '~/log/store'
import { byLight, changesOf, heldRods, hungOf, lightThrough } from '~/log/today'
import { crewOf } from '~/log/trip'
import { counted } from '~/words/numbers'

/**
 * The trip under the light it happened in: light by halvings, past drawn whole and to come dashed, with what bit
 * hanging from it; beneath it who held which rod; and bites an hour by bands of light fixed beforehand.
 */
const props = defineProps<{ nowMs: number; /** The light alone, above the targets of a phone. */ strip?: boolean }>()
const log = useLogStore()
const { finishName } = useFinish()
const box = ref<HTMLElement | null>(null)
const { width } = useElementSize(box)
const trip = computed(() => log.current!)
const HOUR_MS = 3_600_000
/** From an hour before the trip to some hours after now. */
const span = computed(() => {
  const from = Date.parse(trip.value.body.startedAt) - HOUR_MS / 2
  const changes = changesOf(trip.value.body).map(c => c.ms)
  return { from, to: Math.max(props.nowMs + 2 * HOUR_MS, from + 6 * HOUR_MS, ...changes.map(ms => ms + HOUR_MS)) }
})
const light = computed(() => lightThrough(trip.value.body, log.taps, span.value.from, span.value.to))
const CHART = computed(() => (props.strip ? 74 : 210))
const [LANE_PX, LEFT] = [34, 8] as const
const x = (ms: number) => LEFT + ((width.value - 2 * LEFT) * (ms - span.value.from)) / (span.value.to - span.value.from)
/** Halvings between starlight and a bright noon. */
const [LEAST_LUX, MOST_LUX] = [0.01, 120_000] as const
const y = (lux: number) => 12 + (CHART.value - 24) * (1 - Math.log(lux / LEAST_LUX) / Math.log(MOST_LUX / LEAST_LUX))
const line = (points: typeof light.value) => points.map((p, i) => `${i ? 'L' : 'M'}${x(p.ms)} ${y(p.lux)}`).join('')
const past = computed(() => line(light.value.filter(p => p.ms <= props.nowMs)))
const toCome = computed(() => line(light.value.filter(p => p.ms >= props.nowMs - HOUR_MS / 8)))
const luxNear = (ms: number) => light.value.reduce((a, b) => (Math.abs(b.ms - ms) < Math.abs(a.ms - ms) ? b : a)).lux
const hung = computed(() => hungOf(log.taps).map(h => ({ ...h, x: x(h.ms), y: y(luxNear(h.ms)) })))
const STROKE = { bite: 26, landed: 26, follow: 13 } as const
const hours = computed(() => {
  const first = Math.ceil(span.value.from / HOUR_MS)
  const last = Math.floor(span.value.to / HOUR_MS)
  const every = Math.max(1, Math.ceil((last - first) / Math.max(3, Math.floor(width.value / 90))))
  return Array.from({ length: Math.floor((last - first) / every) + 1 }, (_, i) => (first + i * every) * HOUR_MS)
})
const clock = (ms: number) => DateTime.fromMillis(ms).toFormat('HH:mm')
const lanes = computed(() => trip.value.body.rods.map((_, i) => i))
const held = computed(() => heldRods(trip.value, log.taps, props.nowMs))
const laneY = (rod: number) => CHART.value + 26 + rod * LANE_PX
const height = computed(() => (props.strip ? CHART.value + 20 : laneY(lanes.value.length) + 4))
const changes = computed(() => changesOf(trip.value.body))
const bands = computed(() =>
  props.strip ? [] : byLight(trip.value, log.taps, props.nowMs).filter(b => b.hours > 0.02),
)
const crew = computed(() => crewOf(trip.value.body))
const most = computed(() => Math.max(1, ...bands.value.map(b => b.perHour ?? 0)))
</script>

<template>
  <section :class="strip ? 'border-b-2 border-ink' : 'p-4'" aria-label="Light and bites">
    <div ref="box" class="w-full">
      <svg v-if="width" :width="width" :height="height" class="block" aria-hidden="true">
        <rect :width="width" :height="CHART" fill="var(--sky)" />
        <path :d="toCome" fill="none" stroke="var(--ink)" stroke-width="1.6" stroke-dasharray="4 4" />
        <path :d="past" fill="none" stroke="var(--ink)" stroke-width="3.4" />
        <path :d="`M0 ${CHART}H${width}`" stroke="var(--ink)" />
        <g v-for="h in hung" :key="h.id" stroke="var(--ink)" fill="none">
          <path :d="`M${h.x} ${h.y}v${STROKE[h.what]}`" :stroke-width="h.what === 'follow' ? 1.4 : 4" />
          <path v-if="h.what === 'landed'" :d="`M${h.x - 6} ${h.y + 27}h12`" stroke-width="4" />
          <path v-if="!strip" :d="`M${h.x} ${laneY(h.rod) + 4}v${LANE_PX - 12}`" stroke-width="1.6" />
        </g>
        <path :d="`M${x(nowMs)} 0V${height}`" stroke="var(--ink)" stroke-width="2" />
        <g v-for="c in changes" :key="`${c.rod} ${c.ms}`">
          <path :d="`M${x(c.ms)} 0V${CHART}`" stroke="var(--ink)" stroke-dasharray="2 3" />
          <circle :cx="x(c.ms)" :cy="CHART" r="5" fill="var(--page)" stroke="var(--ink)" stroke-width="2" />
        </g>
        <g class="figure text-note">
          <text v-for="ms in hours" :key="ms" :x="x(ms)" :y="CHART + 16" text-anchor="middle" fill="var(--ink2)">
            {{ clock(ms) }}
          </text>
        </g>
        <template v-if="!strip">
          <g v-for="i in lanes" :key="i">
            <path :d="`M0 ${laneY(i) + LANE_PX - 4}H${width}`" stroke="var(--hair)" />
            <rect
              v-for="h in held.filter(s => s.rod === i)"
              :key="`${h.who} ${h.fromMs}`"
              :x="x(h.fromMs)"
              :y="laneY(i) + 9"
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
          <span class="h-2.5 bg-ink" :style="{ width: `${(100 * (b.perHour ?? 0)) / most}%` }" aria-hidden="true" />
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
