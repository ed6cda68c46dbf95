<script setup lang="ts">
import { computed } from 'vue'
import { LURES } from '#core/lure/types'
import { lengthWords, temperatureWords } from '#core/words/quantities'
import type { SharedPlan } from '#shared/share'
import { cap, JAR_WORDS, LURE_SHORT } from '~/words/options'
import { numberWord } from '~/words/numbers'
import SharedFigure from './SharedFigure.vue'

/** A day's plan that was shared: what is on each rod when, under the cloud to come, and what to pack. */
const props = defineProps<{ plan: SharedPlan }>()
const water = computed(() => props.plan.asked.water)
const temperature = computed(() =>
  water.value.temperatureC === undefined ? '' : `, ${temperatureWords(water.value.temperatureC, props.plan.units)}`,
)
const minutes = (clock: string) => {
  const [h, m] = clock.split(':').map(Number) as [number, number]
  return 60 * h + m
}
const from = computed(() => minutes(props.plan.from))
/** A plan may go on past midnight. */
const since = (clock: string) => (minutes(clock) - from.value + 1440) % 1440
const length = computed(() => Math.max(30, since(props.plan.to) || 1440))

/** The picture, px: an hour down, a rod across. */
const [LEFT, PER_HOUR] = [96, 46] as const
const lane = computed(() => Math.min(110, (390 - LEFT) / Math.max(1, props.plan.lanes.length)))
const y = (clock: string) => (PER_HOUR * since(clock)) / 60
const height = computed(() => (PER_HOUR * length.value) / 60)
const hours = computed(() =>
  Array.from({ length: Math.floor(length.value / 60) + 1 }, (_, i) => ({
    y: i * PER_HOUR + ((60 - (from.value % 60)) % 60) * (PER_HOUR / 60),
    words: String((Math.ceil(from.value / 60) + i) % 24),
  })).filter(h => h.y <= height.value),
)
const cloudPath = computed(() => {
  const at = props.plan.steps.map(s => `L${60 + 30 * s.cloud} ${y(s.at).toFixed(0)}`)
  return `M60 0${at.join('')}L60 ${height.value}Z`
})
const ashore = computed(() => {
  const step = props.plan.steps[1] ? since(props.plan.steps[1].at) - since(props.plan.steps[0]!.at) : 30
  return props.plan.steps.filter(s => s.ashore).map(s => ({ y: y(s.at), h: (PER_HOUR * step) / 60 }))
})
</script>

<template>
  <section class="part">
    <p>
      <b>
        {{ cap(JAR_WORDS[water.tint]) }} water, disc gone at {{ lengthWords(water.visibilityM, plan.units)
        }}{{ temperature }}.
      </b>
      {{ plan.from }} to {{ plan.to }}.
    </p>
  </section>
  <svg
    class="picture"
    :viewBox="`0 -26 390 ${height + 34}`"
    role="img"
    :aria-label="`What is on ${plan.lanes.length} rods by the hour; in words below.`"
  >
    <rect :x="LEFT" y="0" :width="390 - LEFT" :height="height" fill="var(--sky)" />
    <path :d="cloudPath" fill="var(--page)" stroke="var(--ink)" stroke-width="1.2" />
    <g v-for="h in hours" :key="h.y">
      <path :d="`M50 ${h.y}h8`" stroke="var(--ink)" stroke-width="1.5" />
      <text x="44" :y="h.y + 5" text-anchor="end" fill="var(--ink)">{{ h.words }}</text>
    </g>
    <g v-for="(l, i) in plan.lanes" :key="l.lure">
      <text :x="LEFT + (i + 0.5) * lane" y="-8" text-anchor="middle" fill="var(--ink)">{{ LURE_SHORT[l.lure] }}</text>
      <g v-for="s in l.spells" :key="s.from">
        <path
          :d="`M${LEFT + (i + 0.5) * lane} ${y(s.from)}V${y(s.to) || height}`"
          stroke="var(--ink)"
          stroke-width="4"
        />
        <rect
          :x="LEFT + i * lane + 4"
          :y="y(s.from) + 6"
          :width="lane - 8"
          height="34"
          fill="var(--plate)"
          stroke="var(--ink)"
        />
        <svg :x="LEFT + i * lane + 8" :y="y(s.from) + 8" :width="lane - 16" height="30">
          <SharedFigure :finish-id="s.finishId" />
        </svg>
      </g>
    </g>
    <g v-for="a in ashore" :key="a.y">
      <rect :x="LEFT" :y="a.y" :width="390 - LEFT" :height="a.h" fill="var(--page)" stroke="var(--ink)" />
    </g>
  </svg>
  <section class="part">
    <div v-for="l in plan.lanes" :key="l.lure">
      <h2 class="lesser">{{ cap(LURES[l.lure].words) }}</h2>
      <p v-for="s in l.spells" :key="s.from">
        <b>{{ s.from }} to {{ s.to }}</b>
        {{ s.name }}. {{ s.why }}
      </p>
    </div>
    <p v-for="c in plan.cautions" :key="c.from + c.kind">
      <b>{{ c.from }} to {{ c.to }}: {{ c.text }}</b>
    </p>
    <p>
      <b>Pack {{ numberWord(plan.pack.length, 'nothing') }}: {{ plan.pack.map(p => p.name).join(', ') }}.</b>
      One colour a rod scores {{ plan.oneOfEach }} of these 100.
    </p>
  </section>
</template>
