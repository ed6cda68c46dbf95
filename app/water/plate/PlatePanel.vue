<script setup lang="ts">
import { computed, defineAsyncComponent, ref, toRaw, watch } from 'vue'
import { SCHOOLS } from '#core/words/schools'
import { parseCoat } from '#core/paintwork/coat'
import { knownFinish } from '#core/box/own'
import { finishById } from '#core/lure/finish'
import type { ShareInput } from '#shared/schema/share'
import { requestOf } from '~/reading/reading'
import { SIDES, type Side } from '#core/lure/types'
import { FELT_M } from '#core/sight/view'
import { useUnits } from '~/settings/useUnits'
import { useReadingStore } from '~/reading/store'
import { useTaughtStore } from '~/records/taught'
import { useSettingsStore } from '~/settings/store'
import { dressOf, drawCoat } from '~/figures/dress'
import { LURE_SHORT, SCHOOL_OPTIONS, cap } from '~/words/options'
import type { ScreenModel } from '~/water/model'
import RangeBar from '~/water/calls/RangeBar.vue'
import Choice from '~/common/Choice.vue'
import HandFigure from '~/figures/HandFigure.vue'
import LureFigure from '~/figures/LureFigure.vue'
import NamedFigure from './NamedFigure.vue'
import PlateSection from './PlateSection.vue'
import ReasonList from './ReasonList.vue'
import SchoolStands from './SchoolStands.vue'
import SeenStrip from './SeenStrip.vue'

/** The plate laid beside the instrument: one finish in full. */
const props = defineProps<{ screen: ScreenModel }>()
defineEmits<{ select: [id: string] }>()
const ContrastChart = defineAsyncComponent(() => import('./ContrastChart.vue'))
// Wanted by who has something to show.
const ShareButton = defineAsyncComponent(() => import('~/yours/ShareButton.vue'))
const store = useReadingStore()
const settings = useSettingsStore()
const { lengthNumber, length, lengthText } = useUnits()
const red = computed(() => settings.theme === 'night')
const call = computed(() => props.screen.call)
const finish = computed(() => knownFinish(props.screen.selectedId)!)
const side = computed(() => store.reading.side)
const SIDE_WORDS = { level: 'From the side', below: 'From below', above: 'From above' } as const
const maxM = computed(() => Math.max(...SIDES.map(s => call.value.sightingRangeM[s])) * 1.02)
const taught = useTaughtStore()
const logWords = computed(() => {
  const said = taught.saidOf(props.screen.selectedId)
  if (!said) return ''
  const [times, low, high] = [said.times, said.low, said.high].map(v => v.toFixed(2))
  const held = `${times} times its fellows, eight in ten ${low} to ${high}`
  return `Your log: ${said.hours.toFixed(1)} h, ${held}${said.sure ? '' : '; too few to be sure'}.`
})
const chart = ref(false)
/** Night draws tone; colour only while the button is held. */
const showColour = ref(false)
const nameOf = (id: string) => knownFinish(id)?.name ?? id
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
const colourMatters = computed(() => props.screen.answer.colourMatters)
const same = computed(() => {
  const look = props.screen.answer.lookAlikes.find(g => g.includes(finish.value.id)) ?? []
  return look.filter(id => id !== finish.value.id).map(id => knownFinish(id)!)
})
/** What a link to this call holds; a finish of one's own is nobody else's to look up. */
const canShare = computed(() => !!finishById(props.screen.selectedId))
const sharing = (): ShareInput => ({
  kind: 'call',
  asked: requestOf(toRaw(store.reading), settings.units),
  finishId: props.screen.selectedId,
})
/** The dress-up tried on the large figure. */
const dressed = ref<string | null>(null)
watch(
  () => props.screen.selectedId,
  () => (dressed.value = null),
)
const dressing = computed(() => dressUps.value.find(d => d.text === dressed.value) ?? null)
const dressBrief = computed(() => {
  const best = [...dressUps.value].sort((a, b) => b.gain - a.gain)[0]
  return best ? `up to +${Math.round(best.gain * 100)}` : 'others gain more'
})
/** What goes with it, a line each: cautions first, then what to do at the boat side and afterwards. */
const goesWith = computed(() => {
  const { boatSide, next } = props.screen.answer
  return [
    ...advisories.value.map(a => ({ word: KINDS[a.kind], text: a.text })),
    ...(boatSide && call.value.rank === 1 ? [{ word: 'Boat side', text: boatSide.text }] : []),
    { word: 'Then', text: next.text },
  ]
})
const withBrief = computed(() => [...new Set(goesWith.value.map(w => w.word.toLowerCase()))].join(', '))
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
      <p v-if="logWords">{{ logWords }}</p>
    </header>
    <NamedFigure :finish="finish" :red="red && !showColour" :dressing="dressing" />
    <SeenStrip :lure="finish.lure" :strip="screen.strip" :fish-m="screen.fishM" :red="red" />
    <div class="px-3.5 pb-4">
      <PlateSection name="decides" title="What decides" :brief="`colour decides ${colourMatters.level}`">
        <p v-if="shared" class="mb-1 border-l-2 border-ink pl-2">{{ shared }}</p>
        <p>{{ colourMatters.text }}</p>
        <p v-if="screen.answer.turning" class="mt-1">{{ screen.answer.turning.text }}</p>
      </PlateSection>
      <PlateSection v-if="same.length" name="same" title="The same to the fish" :brief="`${same.length} more`">
        <ul class="grid grid-cols-3 gap-1">
          <li v-for="f in same" :key="f.id">
            <button type="button" class="w-full text-left" @click="$emit('select', f.id)">
              <span class="block h-11 bg-plate p-0.5"><HandFigure :finish="f" :line="3" /></span>
              <span class="block text-note leading-tight">{{ f.name }}</span>
            </button>
          </li>
        </ul>
      </PlateSection>
      <PlateSection name="range" title="How far off a fish first sees it">
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
        <details class="mt-1" @toggle="chart = ($event.target as HTMLDetailsElement).open">
          <summary class="flex min-h-11 items-center underline underline-offset-3">
            Contrast against distance, with its rivals
          </summary>
          <ContrastChart v-if="chart" :curves="screen.curves" :fish-m="screen.fishM" />
        </details>
      </PlateSection>
      <PlateSection name="why" title="Why" :brief="`${Math.round(call.score * 100)} of 100, from an even 50`">
        <ReasonList :call="call" />
      </PlateSection>
      <PlateSection name="schools" title="Where the schools stand" brief="against, open, for">
        <SchoolStands :call="call" />
        <p v-for="d in screen.answer.disagreements" :key="d.picks.join()" class="mt-1.5 border-l-2 border-ink pl-2">
          <span class="font-bold">
            {{ SCHOOLS[d.between[0]].words }} against {{ SCHOOLS[d.between[1]].words.toLowerCase() }}:
          </span>
          {{ d.optics }} {{ d.when }}
        </p>
        <Choice
          class="mt-2 mb-1"
          label="Ranked by"
          bare
          up
          :value="store.reading.school"
          :options="SCHOOL_OPTIONS"
          @change="v => store.set({ school: v })"
        />
        <p v-for="b in screen.weights.because" :key="b" class="text-note text-ink2">{{ cap(b) }}.</p>
      </PlateSection>
      <PlateSection v-if="dressUps.length || others.length" name="dress" title="Dress it up" :brief="dressBrief">
        <ul class="grid gap-1">
          <li v-for="d in dressUps" :key="d.text">
            <button
              type="button"
              class="flex min-h-11 w-full items-center gap-2 text-left"
              :aria-pressed="dressed === d.text"
              @click="dressed = dressed === d.text ? null : d.text"
            >
              <span class="h-10 w-22 shrink-0 bg-plate p-0.5" :class="dressed === d.text ? 'outline-2' : ''">
                <LureFigure :lure="finish.lure" :dress="d.dress" :mark="finish.mark" :red="red" :line="2.4" />
              </span>
              <span class="leading-tight">{{ d.text }}</span>
              <b class="figure ml-auto">+{{ Math.round(d.gain * 100) }}</b>
            </button>
          </li>
        </ul>
        <p v-for="d in others" :key="d.finishId + d.text" class="text-note text-ink2">
          {{ nameOf(d.finishId) }}: {{ d.text }}
          <b>+{{ Math.round(d.gain * 100) }}</b>
        </p>
      </PlateSection>
      <PlateSection name="with" title="What goes with it" :brief="withBrief">
        <dl>
          <div v-for="w in goesWith" :key="w.text" class="flex gap-2 py-0.5">
            <dt class="w-18 shrink-0 font-bold">{{ w.word }}</dt>
            <dd>{{ w.text }}</dd>
          </div>
        </dl>
      </PlateSection>
      <PlateSection
        v-if="screen.answer.assumed.length"
        name="assumed"
        title="Taken for granted"
        :brief="`${screen.answer.assumed.length} things`"
      >
        <ul>
          <li v-for="a in screen.answer.assumed" :key="a.path" class="py-0.25 text-ink2">{{ cap(a.because) }}.</li>
        </ul>
      </PlateSection>
      <ShareButton v-if="canShare" :key="screen.selectedId" class="pt-3" words="Share this call" :input="sharing" />
    </div>
  </section>
</template>
