<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { DateTime } from 'luxon'
import { computed, ref } from 'vue'
import { type Tap, type Trip, bitesOf, tallyOf } from '~/log/trip'
import { counted } from '~/words/numbers'

/** The trips of a year as stems: hours as a thin line, bites as a thick one, a ring where there was none. */
const props = defineProps<{ trips: readonly Trip[]; tapsOf: (id: string) => Tap[] }>()
const box = ref<HTMLElement | null>(null)
const { width } = useElementSize(box)
const [HEIGHT, FOOT, PAD] = [62, 46, 10] as const
const ended = computed(() =>
  props.trips
    .filter(t => t.body.endedAt)
    .map(t => {
      const from = Date.parse(t.body.startedAt)
      const hours = (Date.parse(t.body.endedAt!) - from) / 3_600_000
      return { id: t.id, ms: from, hours, bites: bitesOf(tallyOf(props.tapsOf(t.id))) }
    })
    .sort((a, b) => a.ms - b.ms),
)
const span = computed(() => ({ from: ended.value[0]?.ms ?? 0, to: ended.value.at(-1)?.ms ?? 1 }))
const x = (ms: number) =>
  PAD + ((width.value - 2 * PAD) * (ms - span.value.from)) / Math.max(1, span.value.to - span.value.from)
const most = computed(() => ({
  hours: Math.max(4, ...ended.value.map(t => t.hours)),
  bites: Math.max(4, ...ended.value.map(t => t.bites)),
}))
const tall = (share: number) => (FOOT - 6) * Math.min(1, share)
const months = computed(() => {
  const { from, to } = span.value
  const out: { x: number; words: string }[] = []
  for (let m = DateTime.fromMillis(from).startOf('month'); m.toMillis() <= to; m = m.plus({ months: 1 }))
    if (m.toMillis() >= from && (!out.length || x(m.toMillis()) - out.at(-1)!.x > 34))
      out.push({ x: x(m.toMillis()), words: m.toFormat('LLL') })
  return out
})
const sums = computed(() => ({
  hours: ended.value.reduce((s, t) => s + t.hours, 0),
  bites: ended.value.reduce((s, t) => s + t.bites, 0),
}))
const words = computed(() =>
  [
    counted(ended.value.length, 'trip'),
    `${Math.round(sums.value.hours)} hours`,
    counted(sums.value.bites, 'bite'),
  ].join(', '),
)
</script>

<template>
  <section v-if="ended.length" aria-label="The trips of the year">
    <p class="figure flex flex-wrap items-baseline justify-between gap-x-4">
      <b>{{ words }}</b>
      <span class="text-note text-ink2">thin: hours; thick: bites; ring: none</span>
    </p>
    <div ref="box" class="w-full bg-sky">
      <svg v-if="width" :width="width" :height="HEIGHT" class="block" aria-hidden="true">
        <path :d="`M0 ${FOOT}H${width}`" stroke="var(--ink)" stroke-width="1.6" />
        <g v-for="t in ended" :key="t.id" stroke="var(--ink)">
          <path :d="`M${x(t.ms)} ${FOOT}v${-tall(t.hours / most.hours)}m-3 0h6`" stroke-width="1.2" fill="none" />
          <path v-if="t.bites" :d="`M${x(t.ms)} ${FOOT}v${-tall((0.9 * t.bites) / most.bites)}`" stroke-width="5" />
          <circle v-else :cx="x(t.ms)" :cy="FOOT" r="3.4" fill="var(--page)" stroke-width="1.6" />
        </g>
        <text
          v-for="m in months"
          :key="m.x"
          :x="m.x"
          :y="HEIGHT - 3"
          class="figure text-label"
          fill="var(--ink2)"
          text-anchor="middle"
        >
          {{ m.words }}
        </text>
      </svg>
    </div>
  </section>
</template>
