<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel } from '@headlessui/vue'
import { useElementSize } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { finishById } from '#core/lure/finish'
import { passageOf } from '#core/lure/passage'
import { LURES, type LureId } from '#core/lure/types'
import { PHASE_WORDS } from '#core/season/phase'
import type { PairLine as PairLineOut } from '#core/which-lure/pairLines'
import type { HereLure } from '#core/which-lure/answer'
import { useBoxStore } from '~/box/store'
import { waterColour } from '~/figures/waterColour'
import { luresRequestOf, topOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { useAnswers } from '~/water/useScreen'
import { useSettingsStore } from '~/settings/store'
import { useUnits } from '~/settings/useUnits'
import { cap } from '~/words/options'
import WorkingLine from '~/shell/WorkingLine.vue'
import HandFigure from '~/figures/HandFigure.vue'
import CoverSign from './CoverSign.vue'
import DepthStrip from './DepthStrip.vue'
import LureConditions from './LureConditions.vue'
import NotHere from './NotHere.vue'
import PairLine from './PairLine.vue'
import PassagePath from './PassagePath.vue'
import SensesDrawing from './SensesDrawing.vue'
import { DRAWN, PASSAGE_WORDS, COVER_PATHS, PATH_WORDS, pathOf, rowsOf, scaleOf, spoken } from './rows'
import { useWhichLure } from './useWhichLure'

/** Which lure here: the water read downwards, what finds each lure, what it comes through, what decides in pairs. */
const props = defineProps<{ phone: boolean }>()
const emit = defineEmits<{ conditions: []; fish: [lure: LureId, finishId: string, depthM: number] }>()
const store = useReadingStore()
const settings = useSettingsStore()
const box = useBoxStore()
const units = useUnits()
const { water } = useAnswers()

const { answer, lines, working, failed, ask } = useWhichLure(() => luresRequestOf(store.reading, settings.units))
const all = ref(false)
const owned = computed(() => new Set(box.carried.map(l => l.body.lure)))
const rows = computed(() => (answer.value ? rowsOf(answer.value.here, owned.value, all.value) : []))
const picked = ref<LureId | null>(null)
const chosen = computed<HereLure | null>(() => {
  const here = answer.value?.here ?? []
  return here.find(h => h.lure === (picked.value ?? store.reading.lure)) ?? here[0] ?? null
})
watch(answer, () => {
  if (picked.value && !answer.value?.here.some(h => h.lure === picked.value)) picked.value = null
})
const scaleM = computed(() => scaleOf(rows.value))
const waterM = computed(() => store.reading.waterM ?? Math.max(2, 1.15 * Math.max(...rows.value.map(r => r.depthM))))
const topM = computed(() => topOf({ ...store.reading, waterM: waterM.value }))
const colourAt = (depthM: number) => waterColour(water.value?.column, depthM, settings.theme)
const stripColours = computed(() => [0.02, 0.2, 0.4, 0.6, 0.8, 1].map(f => colourAt(f * waterM.value)))
const ink = computed(() => (settings.theme === 'night' ? 'var(--ink)' : '#fff'))
const path = computed(() => pathOf(store.reading.cover))
const bests = computed(() => Object.fromEntries((answer.value?.here ?? []).map(h => [h.lure, h.finish.id])))

/** The key of the drawing. */
const SENSES = [
  { words: 'seen', d: 'M0 7H14M14 7H32M32 2V12', line: 2.4, dash: undefined },
  { words: 'felt', d: 'M0 7q3 -9 6 0q3 9 6 0q3 -7 6 0q3 5 6 0q3 -3 6 0', line: 1.6, dash: undefined },
  { words: 'heard', d: 'M0 7H34', line: 2, dash: '6 5' },
] as const
const pairNow = ({ a, b }: PairLineOut) => answer.value?.pairs.find(p => p.a === a && p.b === b) ?? null
/** What answers a miss on top. */
const followUp = computed(() => answer.value?.pairs.find(p => p.why.code === 'pair.follow-up') ?? null)
/** Tabs of a phone; a desk shows them beside one another. */
const PARTS = ['By depth', 'Pairs', 'Not here'] as const
const panel = computed(() => (props.phone ? TabPanel : 'div'))
const [ROW_PX, STRIP_PX] = [78, 132] as const
const sensesBox = ref<HTMLElement | null>(null)
const { width: sensesPx } = useElementSize(sensesBox)
const pairsBox = ref<HTMLElement | null>(null)
const { width: pairsPx } = useElementSize(pairsBox)
const ticks = computed(() => {
  const shown = units.lengthNumber(scaleM.value)
  const step = [0.1, 0.2, 0.5, 1, 2, 5, 10].find(s => shown / s <= 6) ?? 20
  return Array.from({ length: Math.floor(shown / step) }, (_, i) => Number(((i + 1) * step).toFixed(1)))
})
const sensesX = (shown: number) => 8 + ((sensesPx.value - 66) * shown) / units.lengthNumber(scaleM.value)

const phase = computed(() => {
  const found = answer.value?.assumed.find(a => a.path === 'season')?.value as keyof typeof PHASE_WORDS | undefined
  const word = store.reading.season ?? found
  return word ? PHASE_WORDS[word] : ''
})
const runsWords = computed(() => {
  const h = chosen.value!
  return LURES[h.lure].surface ? h.finish.name : `${h.finish.name}, ${units.lengthText(h.depthM)} down`
})
function fish() {
  const h = chosen.value
  if (h) emit('fish', h.lure, h.finish.id, h.depthM)
}
const step = (by: number) => {
  const i = rows.value.findIndex(r => r.lure === chosen.value?.lure)
  const next = rows.value[Math.min(rows.value.length - 1, Math.max(0, i + by))]
  if (next) picked.value = next.lure
}
</script>

<template>
  <TabGroup as="div" class="-m-4 flex min-h-full flex-col">
    <LureConditions :phase="phase" @conditions="$emit('conditions')" />
    <TabList v-if="phone" aria-label="Which lure" class="flex border-b border-ink">
      <Tab v-for="p in PARTS" :key="p" v-slot="{ selected }" as="template">
        <button type="button" class="figure min-h-11 flex-1 font-semibold" :class="selected ? 'chosen' : ''">
          {{ p }}
        </button>
      </Tab>
    </TabList>
    <p v-if="failed" role="alert" class="p-4">
      It could not be worked out.
      <button type="button" class="quiet" @click="ask">Try again</button>
    </p>
    <div class="relative"><WorkingLine v-if="working && !answer" /></div>
    <div v-if="answer" class="grid flex-1" :class="phone ? '' : 'which-grid'">
      <component :is="panel" class="min-w-0" :class="phone ? '' : 'border-r-2 border-ink'">
        <div class="row-grid figure items-end text-note text-ink2" :class="phone ? 'hidden' : 'grid'">
          <p class="px-3 py-1">runs at, {{ units.length.value.unit }}</p>
          <p class="px-3 py-1">best colour now</p>
          <span />
          <div class="relative h-13">
            <p class="flex items-center gap-3 px-2">
              <span v-for="k in SENSES" :key="k.words" class="flex items-center gap-1.5">
                {{ k.words }}
                <svg width="34" height="14" aria-hidden="true">
                  <path :d="k.d" fill="none" stroke="currentColor" :stroke-width="k.line" :stroke-dasharray="k.dash" />
                </svg>
              </span>
            </p>
            <span
              v-for="t in ticks"
              :key="t"
              class="absolute bottom-0.5 -translate-x-1/2"
              :style="{ left: `${sensesX(t)}px` }"
            >
              {{ t }}{{ t === ticks.at(-1) ? ` ${units.length.value.unit}` : '' }}
            </span>
          </div>
          <div class="flex">
            <span
              v-for="p in COVER_PATHS"
              :key="p"
              class="narrow flex w-8 flex-col items-center pt-1"
              :class="path === p ? 'bg-plate font-bold text-ink' : ''"
            >
              <CoverSign :of="p" />
              {{ PATH_WORDS[p] }}
            </span>
          </div>
        </div>
        <div
          class="relative border-t-2 border-ink"
          role="radiogroup"
          aria-label="Lures, from the top of the water down"
          @keydown.down.prevent="step(1)"
          @keydown.up.prevent="step(-1)"
        >
          <DepthStrip
            v-if="!phone"
            class="absolute top-0 left-0"
            :rows="rows"
            :chosen="chosen?.lure ?? ''"
            :water-m="waterM"
            :top-m="topM"
            :width="STRIP_PX"
            :height="rows.length * ROW_PX"
            :row-height="ROW_PX"
            :colours="stripColours"
            :ink="ink"
          />
          <button
            v-for="(h, i) in rows"
            :key="h.lure"
            type="button"
            role="radio"
            :data-lure="h.lure"
            :aria-checked="h.lure === chosen?.lure"
            :aria-label="spoken(h, { length: units.lengthText }, cap(LURES[h.lure].words))"
            :tabindex="h.lure === chosen?.lure ? 0 : -1"
            class="grid w-full border-b border-ink text-left"
            :class="phone ? 'phone-grid' : 'row-grid'"
            :style="phone ? {} : { height: `${ROW_PX}px` }"
            @click="picked = h.lure"
          >
            <span
              v-if="phone"
              class="figure col-1 row-[1/3] flex items-start pt-7 font-bold"
              :style="{ background: colourAt(h.depthM), color: ink }"
            >
              <span class="w-9 text-right">{{ units.lengthNumber(h.depthM) }}</span>
              <span aria-hidden="true" class="mt-2.5 ml-1 h-px flex-1 bg-current" />
            </span>
            <span v-else />
            <span
              class="min-w-0 px-3 py-1"
              :class="[h.lure === chosen?.lure ? 'chosen' : '', phone ? 'col-[2/-1] row-2' : '']"
            >
              <span class="flex items-baseline gap-2 text-name font-bold">
                {{ cap(LURES[h.lure].words) }}
                <span v-if="owned.has(h.lure)" class="text-note font-medium">in the box</span>
                <span v-if="phone && path" class="ml-auto flex items-center">
                  <CoverSign :of="path" />
                  <PassagePath :way="h.through" />
                </span>
              </span>
              <span class="leading-tight" :class="phone ? 'block' : 'line-clamp-2'">{{ h.why.text }}</span>
              <span class="block truncate text-note" :class="h.lure === chosen?.lure ? '' : 'text-ink2'">
                {{ h.finish.name }}
              </span>
            </span>
            <span class="bg-plate p-2" :class="phone ? 'col-2 row-1' : ''">
              <HandFigure :finish="finishById(h.finish.id)!" :line="2" />
            </span>
            <span
              :ref="i === 0 ? el => (sensesBox = el as HTMLElement) : undefined"
              :style="{ background: colourAt(h.depthM), color: ink }"
              :class="phone ? 'col-3 row-1' : ''"
            >
              <SensesDrawing :lure="h" :scale-m="scaleM" :width="Math.max(120, sensesPx)" :height="ROW_PX - 1" />
            </span>
            <span v-if="!phone" class="flex items-center" aria-hidden="true">
              <span
                v-for="p in COVER_PATHS"
                :key="p"
                class="flex h-full w-8 items-center justify-center"
                :class="path === p ? 'bg-plate' : 'text-ink2'"
              >
                <PassagePath :way="path === p ? h.through : passageOf(h.lure, p, store.reading.density)" :width="26" />
              </span>
            </span>
          </button>
        </div>
        <p class="flex flex-wrap items-center gap-x-5 gap-y-1 px-3 py-2 text-note">
          <button
            v-if="answer.here.length > DRAWN"
            type="button"
            class="min-h-11 font-semibold underline underline-offset-4"
            @click="all = !all"
          >
            {{ all ? `The first ${DRAWN}` : `All ${answer.here.length} that would do` }}
          </button>
          <span v-for="(words, way) in PASSAGE_WORDS" :key="way" class="flex items-center gap-1">
            <PassagePath :way="way" />
            {{ words }}
          </span>
        </p>
        <p v-for="s in answer.says" :key="s.code" class="px-3 pb-2 text-ink2">{{ s.text }}</p>
        <NotHere v-if="!phone" :out="answer.notHere" />
      </component>
      <component :is="panel" class="flex min-w-0 flex-col gap-3 p-4">
        <h3 v-if="!phone" class="figure text-lead font-bold">Pairs people swap</h3>
        <div ref="pairsBox" class="flex flex-col gap-3">
          <template v-if="pairsPx">
            <PairLine
              v-for="p in lines"
              :key="`${p.a} ${p.b}`"
              :pair="p"
              :now="pairNow(p)"
              :bests="bests"
              :width="pairsPx"
            />
          </template>
          <p v-if="followUp" class="border-b border-ink pb-2">{{ followUp.why.text }}</p>
          <p v-if="!lines.length" class="text-ink2">Turning points are being worked out.</p>
        </div>
      </component>
      <TabPanel v-if="phone"><NotHere :out="answer.notHere" /></TabPanel>
    </div>
    <div
      v-if="chosen"
      class="sticky -bottom-4 z-10 flex items-stretch border-t-2 border-ink bg-page"
      :class="phone ? '' : 'justify-end'"
    >
      <p class="min-w-0 flex-1 px-4 py-2">
        <span class="block truncate text-ink2">
          {{ runsWords }}
        </span>
        <span class="block text-name font-bold">{{ cap(LURES[chosen.lure].words) }}</span>
        <span v-if="chosen.senses && !phone" class="block">{{ chosen.senses.text }}</span>
        <span v-if="chosen.but && !phone" class="block text-ink2">{{ chosen.but.text }}</span>
      </p>
      <button type="button" class="figure min-h-14 bg-accent px-8 text-value font-bold text-on-accent" @click="fish">
        Fish it
      </button>
    </div>
  </TabGroup>
</template>

<style scoped>
.which-grid {
  grid-template-columns: minmax(0, 1fr) minmax(280px, 360px);
}
.row-grid {
  grid-template-columns: 132px minmax(170px, 1fr) 116px minmax(220px, 1.6fr) 160px;
}
.phone-grid {
  grid-template-columns: 54px 116px minmax(0, 1fr);
}
</style>
