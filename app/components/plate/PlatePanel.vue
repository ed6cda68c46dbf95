<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { SCHOOLS } from '#core/words/schools'
import { parseCoat } from '#core/paintwork/coat'
import { finishById } from '#core/lure/finish'
import { SIDES, type Side } from '#core/lure/types'
import { FELT_M } from '#core/sight/view'
import { useUnits } from '~/settings/useUnits'
import { useReadingStore } from '~/reading/store'
import { useSettingsStore } from '~/settings/store'
import { dressOf, drawCoat } from '~/figures/dress'
import { LURE_SHORT } from '~/words/options'
import type { ScreenModel } from '~/screen/model'
import RangeBar from '~/components/calls/RangeBar.vue'
import LureFigure from '~/components/figure/LureFigure.vue'
import NamedFigure from './NamedFigure.vue'
import ReasonList from './ReasonList.vue'
import SchoolStands from './SchoolStands.vue'
import SeenStrip from './SeenStrip.vue'

/** The plate laid beside the instrument: one finish in full. */
const props = defineProps<{ screen: ScreenModel }>()
defineEmits<{ select: [id: string] }>()
const ContrastChart = defineAsyncComponent(() => import('./ContrastChart.vue'))
const store = useReadingStore()
const settings = useSettingsStore()
const { lengthNumber, length, lengthText } = useUnits()
const red = computed(() => settings.theme === 'night')
const call = computed(() => props.screen.call)
const finish = computed(() => finishById(props.screen.selectedId)!)
const side = computed(() => store.reading.side)
const SIDE_WORDS = { level: 'From the side', below: 'From below', above: 'From above' } as const
const maxM = computed(() => Math.max(...SIDES.map(s => call.value.sightingRangeM[s])) * 1.02)
const chart = ref(false)
/** Night draws tone; colour only while the button is held. */
const showColour = ref(false)
const nameOf = (id: string) => finishById(id)?.name ?? id
const dressUps = computed(() =>
  props.screen.answer.dressUps
    .filter(d => d.finishId === props.screen.selectedId)
    .map(d => ({ ...d, dress: { ...dressOf(finish.value), [d.part]: drawCoat(parseCoat(d.coat)) } })),
)
const others = computed(() => props.screen.answer.dressUps.filter(d => d.finishId !== props.screen.selectedId))
const KINDS = {
  'lure-window': 'Lure',
  'safety': 'Caution',
  'sound': 'Sound',
  'size': 'Size',
  'line': 'Line',
  'retrieve': 'Retrieve',
} as const
const advisories = computed(() =>
  [...props.screen.answer.advisories].sort((a, b) => Number(b.kind === 'safety') - Number(a.kind === 'safety')),
)
/** Level ranges by the way the fish looks, where there is sun enough to make a difference. */
const turns = computed(() => {
  const { toward, across, away } = call.value.levelRangeM
  if (toward === away) return ''
  const [face, side, back] = [away, across, toward].map(lengthText)
  return `Level: ${face} with the sun in your face, ${side} across it, ${back} with it at your back.`
})
/** From above nothing is seen of a lure that lies on top. */
const shownFrom = (s: Side) => {
  const sightM = call.value.sightingRangeM[s]
  return sightM > 0 ? `${lengthNumber(sightM)} ${length.value.unit}` : 'none'
}
const first = computed(() => call.value.rank === 1)
/** Said of each of the finishes that share the first place. */
const shared = computed(() => {
  const { closeCall } = props.screen.answer
  return closeCall?.finishIds.includes(props.screen.selectedId) ? closeCall.text : ''
})
const subtitle = computed(() => {
  const { sightingRangeM, colourRangeM } = call.value
  const colourM = colourRangeM[side.value]
  const colour = colourM > 0.05 ? `colour to ${lengthText(colourM)}` : 'colour nowhere'
  const seenM = sightingRangeM[side.value]
  const shape = seenM < FELT_M ? 'Felt, not seen' : `Shape seen at ${lengthText(seenM)}, ${colour}`
  return `${LURE_SHORT[finish.value.lure]}. ${shape}.`
})
</script>

<template>
  <section class="plate" aria-label="The chosen finish">
    <header class="relative px-3.5 pt-2.5 pb-2">
      <button
        v-if="red"
        type="button"
        class="float-right ml-2 min-h-11 border border-ink px-2 text-note font-semibold select-none"
        @pointerdown="showColour = true"
        @pointerup="showColour = false"
        @pointerleave="showColour = false"
        @keydown.space.prevent="showColour = true"
        @keyup.space="showColour = false"
        @contextmenu.prevent
      >
        Hold to see colour
      </button>
      <h2 class="figure text-figure leading-tight font-bold max-sm:text-title">{{ finish.name }}</h2>
      <p class="text-ink2">{{ subtitle }}</p>
      <p v-if="shared" class="mt-1 border-l-2 border-ink pl-2">{{ shared }}</p>
    </header>
    <NamedFigure :finish="finish" :red="red && !showColour" />
    <SeenStrip :lure="finish.lure" :strip="screen.strip" :fish-m="screen.fishM" :red="red" />
    <div class="px-3.5 pb-4">
      <section class="topic">
        <h3>How far off a fish first sees it</h3>
        <ul>
          <li v-for="s in SIDES" :key="s" class="flex items-center gap-2 py-0.5" :class="s === side ? 'font-bold' : ''">
            <span class="w-26">{{ SIDE_WORDS[s] }}</span>
            <span class="flex-1">
              <RangeBar
                :colour-m="call.colourRangeM[s]"
                :sight-m="call.sightingRangeM[s]"
                :fish-m="screen.fishM"
                :max-m="maxM"
              />
            </span>
            <span class="figure w-14 text-right">{{ shownFrom(s) }}</span>
          </li>
        </ul>
        <p v-if="call.anglerSightM" class="text-note text-ink2">
          You can follow its back from {{ lengthText(call.anglerSightM) }} across the water.
        </p>
        <p v-if="turns" class="text-note text-ink2">{{ turns }}</p>
        <p v-if="screen.answer.turning" class="mt-1 border-l-2 border-ink pl-2">{{ screen.answer.turning.text }}</p>
        <details class="mt-1" @toggle="chart = ($event.target as HTMLDetailsElement).open">
          <summary>Contrast against distance, with its rivals</summary>
          <ContrastChart v-if="chart" :curves="screen.curves" :fish-m="screen.fishM" />
        </details>
      </section>
      <section class="topic">
        <h3>Why</h3>
        <ReasonList :call="call" />
      </section>
      <section class="topic">
        <h3 class="flex">
          Where the schools stand
          <span class="ml-auto text-label font-medium text-ink2">against&ensp;for</span>
        </h3>
        <SchoolStands :call="call" />
        <p v-for="d in screen.answer.disagreements" :key="d.picks.join()" class="mt-1.5 border-l-2 border-ink pl-2">
          <span class="font-bold">
            {{ SCHOOLS[d.between[0]].words }} against {{ SCHOOLS[d.between[1]].words.toLowerCase() }}:
          </span>
          {{ d.optics }} {{ d.when }}
        </p>
        <details v-if="screen.weights.because.length" class="mt-1">
          <summary>How the schools are weighed today</summary>
          <p v-for="b in screen.weights.because" :key="b">{{ b.charAt(0).toUpperCase() + b.slice(1) }}.</p>
        </details>
      </section>
      <section v-if="dressUps.length || others.length" class="topic">
        <h3>Dress it up</h3>
        <ul class="grid grid-cols-2 gap-2">
          <li v-for="d in dressUps" :key="d.text" class="flex gap-2">
            <span class="h-10.5 w-23 shrink-0 bg-plate p-0.5">
              <LureFigure :lure="finish.lure" :dress="d.dress" :mark="finish.mark" :red="red" :line="2.4" />
            </span>
            <span class="text-note leading-tight">
              {{ d.text }}
              <b>+{{ Math.round(d.gain * 100) }}</b>
            </span>
          </li>
        </ul>
        <p v-for="d in others" :key="d.finishId + d.text" class="text-note text-ink2">
          {{ nameOf(d.finishId) }}: {{ d.text }}
          <b>+{{ Math.round(d.gain * 100) }}</b>
        </p>
      </section>
      <section class="topic">
        <h3>How much colour matters today: {{ screen.answer.colourMatters.level }}</h3>
        <p>{{ screen.answer.colourMatters.text }}</p>
      </section>
      <section class="topic">
        <h3>What goes with it</h3>
        <ul>
          <li v-if="first && screen.answer.boatSide" class="flex gap-2 py-0.5">
            <span class="w-16 shrink-0 font-bold">Boat side</span>
            <span>{{ screen.answer.boatSide.text }}</span>
          </li>
          <li v-for="a in advisories" :key="a.text" class="flex gap-2 py-0.5">
            <span class="w-16 shrink-0 font-bold">{{ KINDS[a.kind] }}</span>
            <span>{{ a.text }}</span>
          </li>
          <li class="flex gap-2 py-0.5">
            <span class="w-16 shrink-0 font-bold">Then</span>
            <span>{{ screen.answer.next.text }}</span>
          </li>
        </ul>
      </section>
      <section v-if="screen.answer.assumed.length" class="topic">
        <h3>What was taken for granted</h3>
        <ul>
          <li v-for="a in screen.answer.assumed" :key="a.path" class="py-0.25 text-ink2">
            {{ a.because.charAt(0).toUpperCase() + a.because.slice(1) }}.
          </li>
        </ul>
      </section>
    </div>
  </section>
</template>

<style scoped>
/* Sections out of sight are neither laid out nor painted until scrolled to. */
.topic {
  border-top: 1px solid var(--ink);
  margin-top: 8px;
  padding-top: 5px;
  content-visibility: auto;
  contain-intrinsic-height: auto 120px;
}
h3 {
  font-family: var(--font-figure);
  font-weight: 700;
  font-size: 15px;
  margin-bottom: 2px;
}
summary {
  cursor: pointer;
  min-height: 32px;
  display: flex;
  align-items: center;
  text-decoration: underline;
  text-underline-offset: 3px;
}
@media (max-width: 899px) {
  summary {
    min-height: 44px;
  }
  h3 {
    font-size: 18px;
  }
}
</style>
