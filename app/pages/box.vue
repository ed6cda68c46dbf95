<script setup lang="ts">
import { computed, defineAsyncComponent, onMounted, ref } from 'vue'
import type { LureId } from '#core/lure/types'
import AddLure from '~/box/AddLure.vue'
import BoxBar from '~/box/BoxBar.vue'
import BoxControls from '~/box/BoxControls.vue'
import BoxMap from '~/box/BoxMap.vue'
import BoxTray from '~/box/BoxTray.vue'
import KitFor from '~/box/KitFor.vue'
import KitPanel from '~/box/KitPanel.vue'
import { usePhone } from '~/common/usePhone'
import { useSheet } from '~/common/useSheet'
import { useCallsStore } from '~/kept/store'
import { useBox } from '~/box/useBox'
import { useKitScenes } from '~/box/useKitScenes'
import { type BoxView, ownOf, useBoxStore } from '~/box/store'
import { clock, minuteOfDay } from '~/reading/clock'
import { requestOf } from '~/reading/reading'
import LookThrough from '~/made-up/LookThrough.vue'
import { useReadingLink } from '~/reading/useReadingLink'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { useSettingsStore } from '~/settings/store'
import { useUnits } from '~/settings/useUnits'
import { useWatersStore } from '~/waters/store'
import { JAR_WORDS } from '~/words/options'

// Forms and files, with their checks, come when they are asked for.
const BoxFiles = defineAsyncComponent(() => import('~/box/BoxFiles.vue'))
const EditLure = defineAsyncComponent(() => import('~/box/EditLure.vue'))

/** The box: what one owns, how it looks in today's water, and the few that cover the rest. */
definePageMeta({ layout: false })
useReadingLink()
const reading = useReadingStore()
const records = useRecordsStore()
const settings = useSettingsStore()
const waters = useWatersStore()
const box = useBoxStore()
const calls = useCallsStore()
const phone = usePhone()
const { lengthText } = useUnits()
const s = computed(() => reading.reading)

const view = ref<BoxView>('fish')
const mapped = ref<LureId | null>(null)
const firstLure = computed(() => box.all[0]?.body.lure ?? null)
const search = ref('')
const only = ref<LureId | 'all'>('all')
const withRetired = ref(false)
/** The lure that is mapped: as chosen, else the first in the box. */
const mapLure = computed({ get: () => mapped.value ?? firstLure.value, set: lure => (mapped.value = lure) })
const shown = computed(() => {
  const words = search.value.trim().toLowerCase()
  return (withRetired.value ? box.all : box.carried).filter(
    l =>
      (only.value === 'all' || l.body.lure === only.value) &&
      (!words || `${l.body.name} ${l.body.keptIn} ${l.body.note}`.toLowerCase().includes(words)),
  )
})
const scrolling = ref(false)
const { kitQuestion, fishedWords } = useKitScenes()
const answers = useBox(
  () => ({
    request: requestOf(s.value, settings.units),
    owned: box.carried.map(ownOf),
    fishM: s.value.fishM,
    mapped: view.value === 'map' ? mapLure.value : null,
  }),
  kitQuestion,
  scrolling,
)
const { trays, map, failed, kit, kitProgress, stopped, stop, choose, sameAs, lookCount } = answers
const size = ref(6)
const chosenKit = computed(() => kit.value?.curve.find(c => c.size === size.value) ?? kit.value?.curve.at(-1) ?? null)
const scene = computed(() => {
  const cloud = Math.round(s.value.cloud * 100)
  const disc = lengthText(s.value.visibilityM)
  const hour = clock(minuteOfDay(s.value.timeMs, s.value.zone))
  return `${JAR_WORDS[s.value.tint]}, disc ${disc}, cloud ${cloud} %, ${hour}.`
})
const { sheet, covered } = useSheet({
  add: 'Add a lure',
  edit: 'A lure of the box',
  files: 'The box as a file',
  where: 'Where and when',
  waters: 'What the kit is for',
})
const edited = ref<string | null>(null)
const bought = ref<string | null>(null)
const editedLure = computed(() => box.all.find(l => l.id === edited.value) ?? null)
function edit(id: string) {
  edited.value = id
  sheet.value = 'edit'
}
function buy(finishId: string | null) {
  bought.value = finishId
  sheet.value = 'add'
}
onMounted(() => {
  void waters.load()
  void records.load()
  void calls.load()
})
</script>

<template>
  <NuxtLayout name="place" wide desk="grid-cols-[minmax(0,1fr)_386px] grid-rows-[auto_minmax(0,1fr)]">
    <template #bar><BoxBar @add="buy(null)" @files="sheet = 'files'" /></template>
    <div
      class="flex min-h-0 min-w-0 flex-col"
      :class="phone ? (view === 'map' ? 'h-[80dvh]' : 'h-[72dvh]') : 'col-1 row-2 border-r-2 border-ink'"
      :inert="covered"
    >
      <p v-if="records.words" role="status" class="border-b border-ink px-3 py-1 text-note">{{ records.words }}</p>
      <p v-if="failed" role="alert" class="border-b border-ink px-3 py-1">
        The box could not be worked out just now.
        <button type="button" class="min-h-11 underline" @click="choose">Try again</button>
      </p>
      <div class="figure flex flex-wrap items-center gap-x-4 border-b border-ink bg-bed2 px-3 text-on-bed">
        <h2 class="text-value font-bold">Your box in today's water</h2>
        <p class="text-note">{{ scene }} Each in the hand, and below as seen {{ lengthText(s.fishM) }} off.</p>
      </div>
      <BoxControls
        v-model:view="view"
        v-model:mapped="mapLure"
        v-model:only="only"
        v-model:search="search"
        v-model:with-retired="withRetired"
      />
      <div v-if="records.state === 'here' && !box.all.length" class="p-6">
        <p class="figure text-title font-bold">The box is empty.</p>
        <p class="mt-1 max-w-prose leading-snug">
          Put in what you own, and see how many looks it really is to the fish, which few cover your waters, and what
          would add something. Colours of your own are picked off a photo that never leaves this device.
        </p>
        <p class="mt-3 flex gap-2">
          <button type="button" class="action" @click="buy(null)">Add a lure</button>
          <button type="button" class="quiet" @click="sheet = 'files'">Bring a box in from a file</button>
        </p>
        <LookThrough class="mt-4" />
      </div>
      <BoxMap v-else-if="view === 'map'" :map="map" :lures="box.carried" @edit="edit" />
      <BoxTray
        v-else
        v-model:scrolling="scrolling"
        :lures="shown"
        :trays="trays"
        :order="view"
        :kit-ids="chosenKit?.finishIds ?? []"
        @edit="edit"
      />
    </div>
    <div
      v-if="!phone || box.carried.length"
      class="scrolls min-h-0"
      :class="phone ? 'border-t-2 border-ink' : 'col-2 row-2'"
      tabindex="0"
      role="region"
      aria-label="Kit and gaps"
      :inert="covered"
    >
      <KitPanel
        v-if="box.carried.length"
        :kit="kit"
        :progress="kitProgress"
        :stopped="stopped"
        :lures="box.carried"
        :look-count="lookCount"
        :chosen="chosenKit"
        :fished="fishedWords"
        @size="n => (size = n)"
        @stop="stop"
        @start="choose"
        @waters="sheet = 'waters'"
        @buy="buy"
      />
    </div>
    <template #sheet>
      <AddLure v-if="sheet === 'add'" :first="bought" :lure="s.lure" :same-as="sameAs" @edit="edit" />
      <EditLure v-else-if="sheet === 'edit' && editedLure" :lure="editedLure" @gone="sheet = null" />
      <BoxFiles v-else-if="sheet === 'files'" />
      <KitFor v-else-if="sheet === 'waters'" />
    </template>
  </NuxtLayout>
</template>
