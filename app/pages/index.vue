<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, onMounted, ref, toRaw } from 'vue'
import CallsPanel from '~/water/calls/CallsPanel.vue'
import LurePicker from '~/water/calls/LurePicker.vue'
import HintStrip from '~/water/column/HintStrip.vue'
import WaterColumn from '~/water/column/WaterColumn.vue'
import { usePhone } from '~/common/usePhone'
import { useSheet } from '~/common/useSheet'
import PlatePanel from '~/water/plate/PlatePanel.vue'
import KeepButton from '~/water/rods/KeepButton.vue'
import RodsPanel from '~/water/rods/RodsPanel.vue'
import ConditionsSheet from '~/water/sheets/ConditionsSheet.vue'
import FoodSheet from '~/water/sheets/FoodSheet.vue'
import HelpSheet from '~/water/sheets/HelpSheet.vue'
import ReadingsSheet from '~/water/sheets/ReadingsSheet.vue'
import KeptSheet from '~/water/sheets/KeptSheet.vue'
import StatusLine from '~/shell/StatusLine.vue'
import WorkingLine from '~/shell/WorkingLine.vue'
import WaterBar from '~/shell/WaterBar.vue'
import { COLUMN_STOPS } from '~/water/column/useColumn'
import { useKeeping } from '~/kept/useKeeping'
import { useKeys } from '~/settings/useKeys'
import { useReadingLink } from '~/reading/useReadingLink'
import { useScreen } from '~/water/useScreen'
import { useBoxStore } from '~/box/store'
import { useTaughtStore } from '~/records/taught'
import { useRecordsStore } from '~/records/store'
import { useFirstStore } from '~/first/store'
import { useCallsStore } from '~/kept/store'
import { useReadingStore } from '~/reading/store'
import { useTabStorage } from '~/settings/deviceStorage'
import { THEMES, useSettingsStore } from '~/settings/store'
import { useWatersStore } from '~/waters/store'
import { JAR_WORDS, seasonWords } from '~/words/options'
import type { LureId } from '#core/lure/types'
import { requestOf } from '~/reading/reading'
import { WATCHERS } from '#core/picture/underWater'
import { BACKGROUNDS } from '#core/sight/backgrounds'

// Its files and forms are not part of the first load.
const WhichLure = defineAsyncComponent(() => import('~/which-lure/WhichLure.vue'))
const FirstRun = defineAsyncComponent(() => import('~/first/FirstRun.vue'))
const WatersSheet = defineAsyncComponent(() => import('~/waters/list/WatersSheet.vue'))

/** The main screen: the water, the calls, the plate. */
const store = useReadingStore()
const settings = useSettingsStore()
const calls = useCallsStore()
const box = useBoxStore()
const taught = useTaughtStore()
const records = useRecordsStore()
const waters = useWatersStore()
definePageMeta({ layout: false })
const first = useFirstStore()
useReadingLink({ onFirst: first.begin })

const phone = usePhone()
const reachM = ref(3)
const held = ref(false)
/** The row of the list that was chosen: it waits while another place is looked at. */
const chosenId = useTabStorage<string | null>('piscator.chosen', null)
/** Five distances about where the fish is, the fish's own in second place. */
const stripM = computed(() => [0.4, 1, 1.7, 2.4, 3.1].map(k => k * store.reading.fishM))
const owned = computed(() => box.finishIds.filter(id => id.startsWith(`${store.reading.lure}.`)))
const own = computed(() => box.own.filter(o => o.lure === store.reading.lure))
const answers = useScreen(() => {
  // One count is followed instead of forty fields, at every move of a finger.
  void store.changes
  const reading = toRaw(store.reading)
  return {
    request: requestOf(reading, settings.units),
    depthsM: COLUMN_STOPS.map(f => f * reachM.value),
    side: reading.side,
    watcher: settings.watcher,
    selectedId: chosenId.value,
    stripM: stripM.value,
    draft: held.value,
    owned: owned.value,
    own: own.value,
    onlyOwned: settings.onlyOwned,
    lean: taught.lean,
    waterId: reading.waterId,
  }
})
const { screen, plate, slow, failed, cancel } = answers
const { keep } = useKeeping(answers)

const { sheet, covered, open, close } = useSheet({
  lures: 'Which lure here?',
  conditions: 'Conditions',
  readings: 'Which water is it?',
  waters: 'Waters and spots',
  food: 'What they are eating',
  kept: 'Kept calls',
  help: 'Keys and words',
  plate: 'The finish',
})
function choose(id: string) {
  chosenId.value = id
  if (phone.value) sheet.value = 'plate'
}

const phase = computed(() => {
  const shown = store.reading.season ?? screen.value?.phase
  return shown ? seasonWords(shown, store.reading.species) : ''
})

const list = ref<InstanceType<typeof CallsPanel> | null>(null)
const picker = ref<InstanceType<typeof LurePicker> | null>(null)
useKeys({
  undo: store.undo,
  redo: store.redo,
  keep: () => first.isOpen || keep(),
  next: () => list.value?.step(1),
  previous: () => list.value?.step(-1),
  rod: n => screen.value && (chosenId.value = screen.value.answer.rotation[n]!.finishId),
  theme: () => {
    settings.theme = THEMES[(THEMES.indexOf(settings.theme) + 1) % 3]!
  },
  units: () => {
    settings.units = settings.units === 'us' ? 'metric' : 'us'
  },
  watcher: () => {
    settings.watcher = WATCHERS[(WATCHERS.indexOf(settings.watcher) + 1) % WATCHERS.length]!
  },
  lure: () => picker.value?.focus(),
  conditions: () => open('conditions'),
  food: () => open('food'),
  kept: () => open('kept'),
  readings: () => open('readings'),
  waters: () => open('waters'),
  lures: () => open('lures'),
  help: () => open('help'),
})
const route = useRoute()
onMounted(() => {
  // Other places send here to ask which lure.
  if (route.query.open === 'lures') sheet.value = 'lures'
  void calls.load()
  void waters.load()
  void records.load()
})
/** Fish the lure that was chosen among all: its best colour, where it runs. */
function fishLure(lure: LureId, finishId: string, depthM: number) {
  store.setLure(lure)
  store.set({ depthM })
  chosenId.value = finishId
  if (first.isOpen) first.tell({ lure })
  sheet.value = null
}
/** The whole of it, from what was told; the hand is where the next choice is made. */
async function showAll() {
  first.finish()
  await nextTick()
  picker.value?.focus()
}
</script>

<template>
  <NuxtLayout name="place" foot="pb-34" desk="main-grid" where="conditions" :wide="sheet === 'lures'">
    <template #bar>
      <WaterBar :kept="calls.all.length" @conditions="open('conditions')" @kept="open('kept')" @help="open('help')" />
    </template>
    <FirstRun
      v-if="first.isOpen"
      :phone="phone"
      :failed="failed"
      :inert="covered && (phone || sheet === 'lures')"
      @lures="open('lures')"
      @conditions="open('conditions')"
      @all="showAll"
    />
    <template v-else>
      <div
        class="flex min-h-0 flex-col"
        :class="phone ? '' : 'col-1 row-2 border-r-2 border-ink'"
        :inert="(phone && covered) || sheet === 'lures'"
      >
        <HintStrip />
        <WaterColumn
          v-model:reach-m="reachM"
          v-model:held="held"
          :class="phone ? 'h-101 landscape:h-[86dvh]' : 'min-h-0 flex-1'"
          :phone="phone"
          @food="open('food')"
        />
        <nav
          v-if="phone"
          class="figure grid grid-cols-4 bg-bed2 text-small font-semibold text-on-bed"
          aria-label="Conditions"
        >
          <button
            v-for="b in [BACKGROUNDS[store.reading.background].words, phase, JAR_WORDS[store.reading.tint], 'More']"
            :key="b"
            type="button"
            class="min-h-11 border-r border-current/40 px-1 leading-tight capitalize last:border-0"
            @click="open('conditions')"
          >
            {{ b }}
          </button>
        </nav>
      </div>
      <div class="flex min-h-0 min-w-0 flex-col" :class="phone ? '' : 'col-[2/-1] row-2 xl:contents'" :inert="covered">
        <div
          class="flex min-h-0 min-w-0 flex-col"
          :class="phone ? '' : 'max-xl:max-h-[62%] max-xl:flex-[3] xl:col-2 xl:row-2'"
        >
          <StatusLine :failed="failed" />
          <LurePicker ref="picker" @lures="open('lures')" />
          <div class="relative"><WorkingLine v-if="slow" @cancel="cancel" /></div>
          <CallsPanel ref="list" class="min-h-0 flex-1" :phone="phone" @select="choose" @move="id => (chosenId = id)" />
          <RodsPanel :phone="phone" :class="phone ? '' : 'max-xl:hidden'" @select="choose" />
        </div>
        <div
          v-if="!phone"
          :class="[
            'region scrolls min-h-0 max-xl:flex-[2] max-xl:border-t-2 max-xl:border-ink',
            'xl:col-3 xl:row-2 xl:border-ink',
          ]"
          tabindex="0"
          role="region"
          aria-label="Plate"
        >
          <RodsPanel class="border-t-0 xl:hidden" :phone="false" @select="choose" />
          <PlatePanel v-if="plate" :screen="plate" @select="choose" />
        </div>
      </div>
    </template>
    <template #thumb><KeepButton v-if="!first.isOpen" bar /></template>
    <template #sheet>
      <WhichLure v-if="sheet === 'lures'" :phone="phone" @conditions="open('conditions')" @fish="fishLure" />
      <ConditionsSheet v-else-if="sheet === 'conditions'" @readings="open('readings')" @waters="open('waters')" />
      <WatersSheet v-else-if="sheet === 'waters'" @close="close" />
      <ReadingsSheet v-else-if="sheet === 'readings'" @close="close" />
      <FoodSheet v-else-if="sheet === 'food'" :screen="screen" />
      <KeptSheet v-else-if="sheet === 'kept'" />
      <HelpSheet v-else-if="sheet === 'help'" />
      <PlatePanel v-else-if="sheet === 'plate' && plate" :screen="plate" class="-m-4" @select="choose" />
    </template>
  </NuxtLayout>
</template>
