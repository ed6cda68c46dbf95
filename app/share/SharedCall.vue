<script setup lang="ts">
import { computed } from 'vue'
import { SPECIES } from '#core/eye/species'
import { LURES } from '#core/lure/types'
import { COVERS } from '#core/cover/cover'
import { WINDS } from '#core/sky/weather'
import { lengthWords, temperatureWords } from '#core/words/quantities'
import type { SharedCall } from '#shared/share'
import FishFigure from '~/water/column/FishFigure.vue'
import { cap, JAR_WORDS } from '~/words/options'
import SharedFigure from './SharedFigure.vue'

/** A call that was shared: the water as it was, the lure in the hand, as it looks farther and farther off, and why. */
const props = defineProps<{ call: SharedCall; inWater: string; looks: string[] }>()
const length = (m: number) => lengthWords(m, props.call.units)

/** The picture, px: the sky above the surface, the water to the bottom that is shown. */
const [WIDTH, SKY, DEEP, BED] = [390, 56, 236, 26] as const
const deepestM = computed(() => props.call.column.at(-1)!.depthM)
const y = (m: number) => SKY + (DEEP * Math.min(m, deepestM.value)) / deepestM.value
const water = computed(() => props.call.asked.water)
const stops = computed(() => props.call.column.map(c => ({ at: c.depthM / deepestM.value, colour: c.colour })))
/** Whole steps of the angler's units down the ruler, five or so. */
const ticks = computed(() => {
  const inM = props.call.units === 'us' ? 0.3048 : 1
  const step = [0.25, 0.5, 1, 2, 5, 10, 20].find(s => deepestM.value / (s * inM) <= 6) ?? 50
  const n = Math.floor(deepestM.value / (step * inM))
  return Array.from({ length: n }, (_, i) => ({ m: (i + 1) * step * inM, words: String((i + 1) * step) }))
})
const discM = computed(() => Math.min(water.value.visibilityM, deepestM.value))
/** The words of the disc stand beside it, or above where the lure hangs there. */
const discY = computed(() => {
  const beside = Math.min(y(discM.value) + 5, SKY + DEEP - 8)
  return Math.abs(beside - y(props.call.depthM)) < 40 ? Math.max(SKY + 50, y(props.call.depthM) - 44) : beside
})
const cloud = computed(() => Math.round(10 * (props.call.asked.light.cloud ?? 0)))
const temperature = computed(() =>
  water.value.temperatureC === undefined ? '' : `, ${temperatureWords(water.value.temperatureC, props.call.units)}`,
)
const sunHigh = computed(() => {
  const deg = props.call.sunDeg
  return deg < -6 ? 'Night' : deg < 5 ? 'Low sun' : deg < 30 ? 'Sun half up' : 'High sun'
})
const under = computed(() =>
  [
    props.call.asked.light.cloud === undefined ? '' : `${cloud.value}/10 cloud`,
    WINDS[props.call.asked.light.wind ?? 'calm'].words,
  ]
    .filter(Boolean)
    .join(', '),
)
const bed = computed(() =>
  [
    water.value.cover ? COVERS[water.value.cover.kind].words.replace(/^an? /, '') : '',
    water.value.depthM ? `${length(water.value.depthM)} deep` : '',
  ]
    .filter(Boolean)
    .join(', '),
)
const told = computed(() => {
  const { tint, visibilityM } = water.value
  const seen = `${JAR_WORDS[tint]} water${temperature.value}; a white disc gone at ${length(visibilityM)}`
  const lure = `${cap(LURES[props.call.lure].words)} ${length(props.call.depthM)} down`
  return `${seen}; ${sunHigh.value.toLowerCase()}, ${under.value}. ${lure}.`
})
</script>

<template>
  <svg class="picture" :viewBox="`0 0 ${WIDTH} ${SKY + DEEP + BED}`" role="img" :aria-label="told">
    <defs>
      <linearGradient id="water" x1="0" y1="0" x2="0" y2="1">
        <stop v-for="s in stops" :key="s.at" :offset="s.at.toFixed(2)" :stop-color="s.colour" />
      </linearGradient>
    </defs>
    <rect :width="WIDTH" :height="SKY" fill="var(--sky)" />
    <rect :y="SKY" :width="WIDTH" :height="DEEP" fill="url(#water)" />
    <text x="16" y="24" fill="var(--ink)">{{ sunHigh }}</text>
    <text x="16" y="44" fill="var(--ink2)" style="font-weight: 500">{{ under }}</text>
    <g v-if="call.sunDeg > 0" fill="none" stroke="var(--ink)" stroke-width="1.5">
      <circle cx="250" :cy="46 - Math.min(28, call.sunDeg / 2)" r="9" />
    </g>
    <path
      v-if="cloud > 0"
      d="M300 44V34C304 26 314 26 318 30C324 18 346 18 350 28C360 22 380 26 390 34V44Z"
      fill="var(--page)"
      stroke="var(--ink)"
      stroke-width="1.2"
    />
    <path
      :d="`M0 ${SKY}${Array.from({ length: 20 }, () => 'q5 4 10 0t10 0').join('')}`"
      fill="none"
      stroke="var(--ink)"
      stroke-width="2.5"
    />
    <g fill="#ffffff" stroke="#ffffff">
      <path :d="`M36 ${SKY + 6}V${SKY + DEEP}`" stroke-width="1.5" />
      <text x="29" :y="SKY + 20" text-anchor="end" stroke="none">{{ call.units === 'us' ? 'ft' : 'm' }}</text>
      <g v-for="t in ticks" :key="t.m">
        <path :d="`M36 ${y(t.m)}h6`" stroke-width="1.5" />
        <text x="29" :y="y(t.m) + 5" text-anchor="end" stroke="none">{{ t.words }}</text>
      </g>
      <path :d="`M70 ${SKY}V${y(discM)}`" stroke-width="1" />
      <ellipse cx="70" :cy="y(discM)" rx="16" ry="5" fill="none" stroke-width="1.2" />
      <text x="94" :y="discY" stroke="none">disc gone at {{ length(water.visibilityM) }}</text>
      <text x="94" :y="SKY + 26" stroke="none">{{ cap(JAR_WORDS[water.tint]) }} water{{ temperature }}</text>
      <path :d="`M236 ${SKY}Q230 ${y(call.depthM) - 30} 176 ${y(call.depthM) - 12}`" fill="none" stroke-width="1" />
      <!-- Drawn here from figures of the engine's own: nothing of it was typed. -->
      <!-- eslint-disable-next-line vue/no-v-html -->
      <g :transform="`translate(150 ${Math.max(SKY + 30, y(call.depthM) - 20)})`" stroke="none" v-html="inWater" />
      <g :transform="`translate(262 ${Math.max(SKY + 30, y(call.depthM) - 26)})`" stroke="none" color="#ffffff">
        <FishFigure :species="call.asked.species ?? 'largemouth-bass'" />
      </g>
    </g>
    <rect :y="SKY + DEEP" :width="WIDTH" :height="BED" fill="var(--bed)" />
    <text v-if="bed" :x="WIDTH - 14" :y="SKY + DEEP + 18" text-anchor="end" fill="#f2f2f1">{{ bed }}</text>
  </svg>
  <div class="plate"><SharedFigure :finish-id="call.finish.id" :label="`${call.finish.name} in the hand`" /></div>
  <ul class="looks">
    <li v-for="(l, i) in call.looks" :key="i">
      <!-- eslint-disable-next-line vue/no-v-html -->
      <div :style="{ background: l.water }" v-html="looks[i]" />
      <span class="figure">{{ length(l.distanceM) }}</span>
    </li>
  </ul>
  <section class="part">
    <div class="named">
      <h2>{{ call.finish.name }}</h2>
      <span>{{ LURES[call.lure].words }}, {{ length(call.depthM) }} down</span>
    </div>
    <p class="figure">
      <b>Colour to {{ length(call.colourM) }}, shape to {{ length(call.seenM) }}</b>
      for a {{ SPECIES[call.asked.species ?? 'largemouth-bass'].words }} that looks level.
    </p>
    <p v-for="r in call.reasons" :key="r">{{ r }}</p>
    <p v-if="call.close">{{ call.close }}</p>
    <ul class="parts quiet">
      <li v-for="p in call.finish.parts" :key="p.part">
        <b>{{ cap(p.part) }}</b>
        {{ p.words }}
      </li>
    </ul>
  </section>
</template>
