<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { SPECIES } from '#core/eye/species'
import { WINDS } from '#core/sky/weather'
import { finishById } from '#core/lure/finish'
import { LURES } from '#core/lure/types'
import { nearest } from '#core/numeric/nearest'
import { localTime } from '~/reading/clock'
import { useReadingStore } from '~/reading/store'
import { useKeeping } from '~/kept/useKeeping'
import { useUnits } from '~/settings/useUnits'
import { useSettingsStore } from '~/settings/store'
import { dressOf } from '~/figures/dress'
import { vThroughWater } from '~/figures/throughWater'
import { NIGHT_WATER, redTone } from '~/figures/tone'
import HandFigure from '~/figures/HandFigure.vue'
import LureFigure from '~/figures/LureFigure.vue'
import RangeBar from '~/water/calls/RangeBar.vue'
import { barM } from '~/water/callShown'
import { useAnswers } from '~/water/useScreen'
import { JAR_WORDS, seasonWords } from '~/words/options'
import { useFirstStore } from './store'

/** The sentence that the three questions fill, and the first answer once it is whole. */
const emit = defineEmits<{ conditions: []; all: [] }>()
const first = useFirstStore()
const store = useReadingStore()
const settings = useSettingsStore()
const { screen } = useAnswers()
const { keep } = useKeeping()
const { lengthText } = useUnits()
const night = computed(() => settings.theme === 'night')
/** The answer, once all is told and it is of the lure that was told. */
const shown = computed(() =>
  first.missing === 0 && screen.value?.lure === first.told.lure && screen.value.answer ? screen.value : null,
)
const finish = computed(() => shown.value && finishById(shown.value.selectedId))
const seen = computed(() => shown.value && nearest(shown.value.strip, shown.value.fishM, s => s.distanceM))
/** The hours from which each part of a day is called so, latest first. */
const PARTS = [
  [22, 'night'],
  [18, 'evening'],
  [12, 'afternoon'],
  [5, 'morning'],
  [0, 'night'],
] as const
const when = computed(() => {
  const at = localTime(store.reading.timeMs, store.reading.zone)
  const [, part] = PARTS.find(([from]) => at.hour >= from)!
  const month = at.toFormat('LLLL')
  return `${at.toFormat('HH:mm')} on ${/^[AEIOU]/.test(month) ? 'an' : 'a'} ${month} ${part}`
})
/** The sentence with its gaps: what was told stands at the even places. */
const sentence = computed(() => {
  const { tint, whiteM, lure } = first.told
  const gap = '…'
  return [
    tint ? JAR_WORDS[tint] : gap,
    ' water, a white lure lost at ',
    whiteM === null ? gap : lengthText(whiteM),
    ', a ',
    lure ? LURES[lure].words : gap,
    `, ${when.value}${first.missing ? '.' : ':'}`,
  ]
})
/** What nobody said; each is a way to where it is set. */
const granted = computed(() => {
  const phase = shown.value ? seasonWords(shown.value.phase, store.reading.species).toLowerCase() : ''
  const water = store.reading.temperatureC === null ? `${phase} water, by the date` : ''
  return [
    store.reading.placeGuessed ? 'the sun from your clock' : 'the sun where you are',
    water,
    SPECIES[store.reading.species].words,
    WINDS[store.reading.wind].words,
    `${lengthText(store.depthM)} down`,
  ].filter(Boolean)
})
const why = computed(() => shown.value?.call.reasons.find(r => r.effect > 0)?.text ?? '')
const close = computed(() => {
  const ids = shown.value?.answer.closeCall?.finishIds.filter(id => id !== shown.value!.selectedId) ?? []
  return ids
    .slice(0, 3)
    .map(id => finishById(id)?.name.toLowerCase())
    .filter(Boolean)
    .join(', ')
})
const section = ref<HTMLElement | null>(null)
// The third tap draws the answer: where it is drawn out of sight it comes into it.
watch(section, (now, before) => {
  if (now && !before) now.scrollIntoView({ block: 'nearest' })
})
function tieOn() {
  keep()
  emit('all')
}
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <p class="border-y border-ink px-4 py-3 text-value" aria-live="polite">
      <component :is="i % 2 ? 'span' : 'b'" v-for="(w, i) in sentence" :key="i">{{ w }}</component>
    </p>
    <p v-if="first.missing" class="px-4 py-4 text-lead text-ink2">
      {{ first.missing === 3 ? 'Three taps, in any order.' : first.missing === 2 ? 'Two more.' : 'One more.' }}
    </p>
    <p v-else-if="!shown || !finish" class="px-4 py-4" aria-busy="true">Working it out …</p>
    <section
      v-else
      ref="section"
      aria-label="The first answer"
      class="flex min-h-0 flex-1 scroll-mb-16 flex-col"
      data-testid="first-answer"
    >
      <div class="grid grid-cols-2">
        <figure class="bg-plate p-4">
          <span class="mx-auto block h-44 max-w-96 max-sm:h-22"><HandFigure :finish="finish" :line="1.6" /></span>
        </figure>
        <figure
          v-if="seen"
          v-through-water="{ seen, red: night }"
          class="flex items-center justify-center p-4"
          :style="{ background: night ? redTone(seen.water, NIGHT_WATER) : seen.water }"
        >
          <span v-if="seen.shape" class="block w-full max-w-96">
            <LureFigure :lure="finish.lure" :dress="dressOf(finish)" through :red="night" />
          </span>
          <span v-else class="figure font-bold text-white">gone</span>
        </figure>
        <p class="figure px-4 py-1 text-note font-semibold">in your hand</p>
        <p class="figure px-4 py-1 text-note font-semibold">to the fish, {{ lengthText(shown.fishM) }} off</p>
      </div>
      <div class="px-4">
        <p class="flex items-baseline justify-between gap-4">
          <b class="figure text-rank leading-tight">{{ finish.name }}</b>
          <span class="figure">
            <b>{{ lengthText(shown.depthM) }}</b>
            down
          </span>
        </p>
        <div class="my-2 max-w-160">
          <RangeBar
            :colour-m="shown.call.colourRangeM[store.reading.side]"
            :sight-m="shown.call.sightingRangeM[store.reading.side]"
            :fish-m="shown.fishM"
            :max-m="barM(shown)"
            numerals
          />
          <span class="off">
            Colour to {{ lengthText(shown.call.colourRangeM[store.reading.side]) }}, shape to
            {{ lengthText(shown.call.sightingRangeM[store.reading.side]) }}.
          </span>
        </div>
        <p>{{ why }} {{ shown.answer.colourMatters.text }}</p>
      </div>
      <div class="mt-auto flex flex-wrap items-center gap-4 border-t border-ink px-4 py-3 max-sm:gap-2">
        <div class="min-w-60 flex-1 text-note max-sm:basis-full">
          <p class="flex flex-wrap gap-x-1.5">
            <b>Taken for granted:</b>
            <button
              v-for="(g, i) in granted"
              :key="g"
              type="button"
              class="underline underline-offset-3"
              @click="$emit('conditions')"
            >
              {{ g + (i < granted.length - 1 ? ',' : '.') }}
            </button>
          </p>
          <p v-if="close" class="text-ink2">Too close to call: {{ close }}.</p>
        </div>
        <button type="button" class="action min-h-14 px-8 max-sm:flex-1" @click="tieOn">I tied this on</button>
        <button type="button" class="quiet min-h-14" @click="$emit('all')">See every colour</button>
      </div>
    </section>
  </div>
</template>
