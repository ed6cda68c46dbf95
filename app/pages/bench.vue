<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { SPECIES } from '#core/eye/species'
import { SIDES } from '#core/lure/types'
import { useBenchStore } from '~/bench/store'
import { useAnswerTo, useBenchApi } from '~/bench/useBench'
import BackOff from '~/bench/BackOff.vue'
import BenchBar from '~/bench/BenchBar.vue'
import BoatSide from '~/bench/BoatSide.vue'
import DrillPanel from '~/bench/DrillPanel.vue'
import GuessPanel from '~/bench/GuessPanel.vue'
import HangPicker from '~/bench/HangPicker.vue'
import HungBar from '~/bench/HungBar.vue'
import JarBench from '~/bench/JarBench.vue'
import Choice from '~/common/Choice.vue'
import { usePhone } from '~/common/usePhone'
import { useSheet } from '~/common/useSheet'
import NumberField from '~/common/NumberField.vue'
import { requestOf } from '~/reading/reading'
import { useReadingLink } from '~/reading/useReadingLink'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { useSettingsStore } from '~/settings/store'
import { useUnits } from '~/settings/useUnits'
import { useWatersStore } from '~/waters/store'
import { FACING_OPTIONS, JAR_WORDS, LURE_OPTIONS, cap } from '~/words/options'
import { LIMITS } from '#shared/vocabulary'

/** The bench: a bar of lures to back off from, jars on the table, and questions that make a better judge. */
definePageMeta({ layout: false })
useReadingLink()
const reading = useReadingStore()
const settings = useSettingsStore()
const waters = useWatersStore()
const records = useRecordsStore()
const bench = useBenchStore()
const phone = usePhone()
const { covered, open } = useSheet({ hang: 'What hangs on the bar', where: 'Where and when' })
const { length, lengthText } = useUnits()
const s = computed(() => reading.reading)
const api = useBenchApi()
const request = computed(() => ({ ...requestOf(s.value, settings.units), depthM: reading.depthM }))
const { answer, failed, run } = useAnswerTo(api.bar, () => ({
  request: request.value,
  ids: bench.set.hung[s.value.lure] ?? [],
  side: bench.set.side,
  watcher: bench.set.watcher,
}))
const offM = ref(0.3)
const guess = ref<string[]>([])
const key = computed(() => answer.value?.ids.join() ?? '')
// Another nine: back at the bar, and nothing guessed.
watch(key, () => {
  guess.value = []
  offM.value = 0.3
})
watch(
  () => answer.value?.bar.farthestM,
  far => far && (offM.value = Math.min(offM.value, far)),
)
function pick(id: string) {
  guess.value = guess.value.includes(id) ? guess.value.filter(x => x !== id) : [...guess.value, id]
}
const sides = SIDES.map(value => ({
  value,
  words: { level: 'from the side', below: 'from below', above: 'from above' }[value],
}))
const watchers = computed(() => [
  { value: 'fish' as const, words: 'for the fish' },
  { value: 'diver' as const, words: 'for a diver' },
])
const fish = computed(() => cap(SPECIES[s.value.species].words.split(' ').at(-1)!))
const scene = computed(
  () =>
    `${JAR_WORDS[s.value.tint]}, disc ${lengthText(s.value.visibilityM)}, cloud ${Math.round(100 * s.value.cloud)} %`,
)
const TABS = ['Bar', 'Jars', 'Drills'] as const
const tab = ref<(typeof TABS)[number]>('Bar')
const on = (t: (typeof TABS)[number]) => !phone.value || tab.value === t
onMounted(() => {
  void waters.load()
  void records.load()
})
</script>

<template>
  <NuxtLayout name="place" wide desk="grid-cols-[minmax(0,1fr)_372px] grid-rows-[auto_minmax(0,1fr)]">
    <template #bar><BenchBar @change="open('hang')" /></template>
    <nav v-if="phone" class="figure grid grid-cols-3 border-b-2 border-ink" aria-label="Parts of the bench">
      <button
        v-for="t in TABS"
        :key="t"
        type="button"
        class="min-h-11 font-semibold"
        :class="tab === t ? 'border-b-[7px] border-ink font-bold' : ''"
        :aria-pressed="tab === t"
        @click="tab = t"
      >
        {{ t }}
      </button>
    </nav>
    <div
      v-show="on('Bar') || on('Jars')"
      class="min-h-0 min-w-0"
      :class="phone ? '' : 'scrolls col-1 row-2 border-r-2 border-ink'"
      :inert="covered"
    >
      <template v-if="on('Bar')">
        <div class="flex flex-wrap items-center gap-x-3 border-b border-ink px-3">
          <h2 class="figure text-value font-bold">The hung bar</h2>
          <p class="text-note">{{ scene }}</p>
          <Choice bare label="Lure" :value="s.lure" :options="LURE_OPTIONS" @change="v => reading.setLure(v)" />
          <span class="flex items-center gap-1 text-note">
            at
            <NumberField
              label="Depth of the bar"
              :value="reading.depthM"
              :scale="length"
              :min="LIMITS.depthM[0]"
              :max="s.waterM ?? LIMITS.depthM[1]"
              @change="v => reading.set({ depthM: v })"
            />
          </span>
          <Choice
            bare
            label="Looked at"
            :value="bench.set.side"
            :options="sides"
            @change="v => bench.change({ side: v })"
          />
          <Choice
            bare
            label="The sun"
            :value="s.facing"
            :options="FACING_OPTIONS"
            @change="v => reading.set({ facing: v })"
          />
          <Choice
            bare
            label="Drawn"
            :value="bench.set.watcher"
            :options="watchers"
            @change="v => bench.change({ watcher: v })"
          />
        </div>
        <p v-if="failed" role="alert" class="p-3">
          The bar could not be worked out just now.
          <button type="button" class="min-h-11 underline" @click="run">Try again</button>
        </p>
        <template v-if="answer">
          <HungBar
            :shown="answer"
            :watcher="bench.set.watcher"
            :off-m="offM"
            :guess="guess"
            :phone="phone"
            @pick="pick"
          />
          <BackOff v-model="offM" :shown="answer" :fish="fish" />
        </template>
        <p v-else class="h-61 bg-sunk p-3" aria-busy="true">Hanging the bar …</p>
      </template>
      <GuessPanel
        v-if="phone && on('Bar') && answer"
        :shown="answer"
        :guess="guess"
        :off-m="offM"
        :fish="fish"
        @clear="guess = []"
      />
      <JarBench v-if="on('Jars')" :api="api" :request="request" :phone="phone" />
    </div>
    <div
      v-if="!phone || tab !== 'Jars'"
      class="scrolls min-h-0"
      :class="phone ? '' : 'col-2 row-2'"
      tabindex="0"
      role="region"
      aria-label="Guess and drills"
      :inert="covered"
    >
      <template v-if="!phone">
        <GuessPanel v-if="answer" :shown="answer" :guess="guess" :off-m="offM" :fish="fish" @clear="guess = []" />
        <p v-else-if="!failed" class="h-full p-3" aria-busy="true">Looking at it as the fish does …</p>
      </template>
      <BoatSide v-if="on('Bar')" :api="api" :request="request" />
      <DrillPanel v-if="on('Drills')" :api="api" />
    </div>
    <template #sheet><HangPicker :lure="s.lure" :hung="answer?.ids ?? []" /></template>
  </NuxtLayout>
</template>
