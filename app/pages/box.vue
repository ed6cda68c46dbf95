<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, defineAsyncComponent, onMounted, ref } from 'vue'
import type { LureId } from '#core/lure/types'
import AddLure from '~/box/AddLure.vue'
import BoxBar from '~/box/BoxBar.vue'
import BoxMap from '~/box/BoxMap.vue'
import BoxTray from '~/box/BoxTray.vue'
import KitPanel from '~/box/KitPanel.vue'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'
import Sheet from '~/common/Sheet.vue'
import WhereSheet from '~/water/sheets/WhereSheet.vue'
import PlaceTabs from '~/shell/PlaceTabs.vue'
import TopBar from '~/shell/TopBar.vue'
import type { Request } from '#core/request/request'
import { useCallsStore } from '~/kept/store'
import { useBox } from '~/box/useBox'
import { ownOf, useBoxStore } from '~/box/store'
import { atMinute, clock, localTime, minuteOfDay } from '~/reading/clock'
import { requestOf } from '~/reading/reading'
import LookThrough from '~/made-up/LookThrough.vue'
import { useReadingLink } from '~/reading/useReadingLink'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { useSettingsStore } from '~/settings/store'
import { useUnits } from '~/settings/useUnits'
import { useWatersStore } from '~/waters/store'
import { JAR_WORDS, LURE_OPTIONS } from '~/words/options'
import { LIMITS } from '#shared/vocabulary'

// Forms and files, with their checks, come when they are asked for.
const BoxFiles = defineAsyncComponent(() => import('~/box/BoxFiles.vue'))
const EditLure = defineAsyncComponent(() => import('~/box/EditLure.vue'))

/** The box: what one owns, how it looks in today's water, and the few that cover the rest. */
useReadingLink()
const reading = useReadingStore()
const records = useRecordsStore()
const settings = useSettingsStore()
const waters = useWatersStore()
const box = useBoxStore()
const calls = useCallsStore()
const phone = useMediaQuery('(max-width: 899px)')
const { length, lengthText } = useUnits()
const s = computed(() => reading.reading)

const view = ref<'fish' | 'place' | 'map'>('fish')
const VIEWS = [
  { value: 'fish' as const, words: 'as the fish sees it' },
  { value: 'place' as const, words: 'by where it is kept' },
  { value: 'map' as const, words: 'on a map of looks' },
]
const mapped = ref<LureId | null>(null)
const search = ref('')
const only = ref<LureId | 'all'>('all')
const withRetired = ref(false)
const types = computed(() => [...new Set(box.all.map(l => l.body.lure))])
const typeOptions = computed(() => [
  { value: 'all' as const, words: 'All lures' },
  ...LURE_OPTIONS.filter(o => types.value.includes(o.value)),
])
const mapOptions = computed(() => LURE_OPTIONS.filter(o => types.value.includes(o.value)))
const mapLure = computed(() => mapped.value ?? types.value[0] ?? null)
const shown = computed(() => {
  const words = search.value.trim().toLowerCase()
  return (withRetired.value ? box.all : box.carried).filter(
    l =>
      (only.value === 'all' || l.body.lure === only.value) &&
      (!words || `${l.body.name} ${l.body.keptIn} ${l.body.note}`.toLowerCase().includes(words)),
  )
})
const fished = computed(() => {
  const chosen = waters.list.filter(w => settings.kitWaters.includes(w.id))
  return chosen.length ? chosen : waters.list
})
const scrolling = ref(false)
const answers = useBox(
  () => ({
    request: requestOf(s.value, settings.units),
    owned: box.carried.map(ownOf),
    fishM: s.value.fishM,
    mapped: view.value === 'map' ? mapLure.value : null,
  }),
  () => {
    const owned = new Set(box.finishIds)
    const [keep, drop] = [settings.kitKeep, settings.kitDrop].map(ids => ids.filter(id => owned.has(id)))
    const pins = { keep: keep!, drop: drop! }
    if (settings.kitFor === 'calls')
      return calls.all.length ? { of: { scenes: calls.all.map(c => sceneOf(c.asked)) }, ...pins } : null
    return fished.value.length
      ? {
          ...pins,
          of: {
            sample: {
              waters: fished.value.map(w => ({
                visibilityM: w.usualVisibilityM,
                tint: w.usualTint,
                salinity: w.salinity,
                latitude: w.latitude,
                longitude: w.longitude,
                prey: w.prey,
              })),
              species: s.value.species,
              moments: 120,
              year: localTime(s.value.timeMs, s.value.zone).year,
            },
          },
        }
      : null
  },
  scrolling,
)
/** A kept call as a scene that was fished. */
const sceneOf = ({ limit: _, ...asked }: Request) => asked
const { trays, map, failed, kit, kitProgress, stopped, stop, choose, sameAs, lookCount } = answers
const fishedWords = computed(() => {
  if (settings.kitFor === 'calls') return `the ${calls.all.length} calls you kept`
  return `${fished.value.length === 1 ? fished.value[0]!.name : `${fished.value.length} waters`}, through the year`
})
const size = ref(6)
const chosenKit = computed(() => kit.value?.curve.find(c => c.size === size.value) ?? kit.value?.curve.at(-1) ?? null)
const scene = computed(() => {
  const cloud = Math.round(s.value.cloud * 100)
  const disc = lengthText(s.value.visibilityM)
  return `${JAR_WORDS[s.value.tint]}, disc ${disc}, cloud ${cloud} %, ${clock(minute.value)}.`
})
const minute = computed({
  get: () => minuteOfDay(s.value.timeMs, s.value.zone),
  set: m => reading.set({ timeMs: atMinute(s.value.timeMs, s.value.zone, Number(m)) }),
})
/** Distances on the slider go by shares: as much of it from 10 to 20 cm as from 1 to 2 m. */
const off = computed({
  get: () => Math.round(100 * Math.log10(s.value.fishM / 0.1)),
  set: v => reading.set({ fishM: 0.1 * 10 ** (Number(v) / 100) }),
})

type SheetName = 'add' | 'edit' | 'files' | 'where' | 'waters'
const sheet = ref<SheetName | null>(null)
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
const KIT_FOR = [
  { value: 'waters' as const, words: 'my waters, through the year' },
  { value: 'calls' as const, words: 'the calls I kept' },
]
const turnWater = (id: string) => {
  const now = settings.kitWaters.length ? settings.kitWaters : waters.list.map(w => w.id)
  settings.kitWaters = now.includes(id) ? now.filter(w => w !== id) : [...now, id]
}
const TITLES: Record<SheetName, string> = {
  add: 'Add a lure',
  edit: 'A lure of the box',
  files: 'The box as a file',
  where: 'Where and when',
  waters: 'What the kit is for',
}
onMounted(() => {
  void waters.load()
  void records.load()
  void calls.load()
})
</script>

<template>
  <main
    class="min-h-dvh bg-page text-ink"
    :class="
      phone
        ? 'flex flex-col pb-14.5'
        : 'grid h-dvh grid-cols-[minmax(0,1fr)_386px] grid-rows-[auto_minmax(0,1fr)] overflow-hidden'
    "
  >
    <TopBar class="col-span-full" :part="phone ? 'head' : 'whole'" @where="sheet = 'where'">
      <BoxBar @add="buy(null)" @files="sheet = 'files'" />
    </TopBar>
    <div
      class="flex min-h-0 min-w-0 flex-col"
      :class="phone ? (view === 'map' ? 'h-[80dvh]' : 'h-[72dvh]') : 'col-1 row-2 border-r-2 border-ink'"
      :inert="sheet !== null"
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
      <div class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-ink px-3 py-1 text-note">
        <label class="flex min-h-11 items-center gap-2">
          Distance
          <input
            v-model="off"
            type="range"
            class="h-11 w-24"
            min="0"
            max="160"
            aria-label="Distance of the fish"
            :aria-valuetext="lengthText(s.fishM)"
          />
          <NumberField
            label="Distance"
            :value="s.fishM"
            :scale="length"
            :min="LIMITS.fishM[0]"
            :max="LIMITS.fishM[1]"
            @change="v => reading.set({ fishM: v })"
          />
        </label>
        <label class="flex min-h-11 items-center gap-2">
          Hour
          <input
            v-model="minute"
            type="range"
            class="h-11 w-24"
            min="0"
            max="1430"
            step="10"
            aria-label="Hour of the day"
            :aria-valuetext="clock(minute)"
          />
          <b class="figure w-10">{{ clock(minute) }}</b>
        </label>
        <Choice bare label="Sorted" :value="view" :options="VIEWS" @change="v => (view = v)" />
        <Choice
          v-if="view === 'map' && mapLure"
          bare
          label="Lure"
          :value="mapLure"
          :options="mapOptions"
          @change="v => (mapped = v)"
        />
        <template v-else>
          <Choice bare label="Shown" :value="only" :options="typeOptions" @change="v => (only = v)" />
          <input
            v-model="search"
            type="search"
            class="h-11 w-24 border border-ink px-2"
            placeholder="Search"
            aria-label="Search the box"
          />
          <button
            type="button"
            class="min-h-11 px-2"
            :class="withRetired ? 'chosen' : 'underline'"
            :aria-pressed="withRetired"
            @click="withRetired = !withRetired"
          >
            retired too
          </button>
        </template>
      </div>
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
      :inert="sheet !== null"
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
    <TopBar v-if="phone" class="mt-auto" part="foot" @where="sheet = 'where'">
      <BoxBar @add="buy(null)" @files="sheet = 'files'" />
    </TopBar>
    <PlaceTabs v-if="phone" foot class="fixed inset-x-0 bottom-0 z-20" :inert="sheet !== null" />
    <Sheet v-if="sheet" :key="sheet" :title="TITLES[sheet]" :phone="phone" class="col-span-full!" @close="sheet = null">
      <AddLure v-if="sheet === 'add'" :first="bought" :lure="s.lure" :same-as="sameAs" @edit="edit" />
      <EditLure v-else-if="sheet === 'edit' && editedLure" :lure="editedLure" @gone="sheet = null" />
      <BoxFiles v-else-if="sheet === 'files'" />
      <WhereSheet v-else-if="sheet === 'where'" @close="sheet = null" />
      <div v-else-if="sheet === 'waters'">
        <Choice
          class="mb-3 max-w-80"
          label="The kit is for"
          :value="settings.kitFor"
          :options="KIT_FOR"
          @change="v => (settings.kitFor = v)"
        />
        <p v-if="settings.kitFor === 'calls' && !calls.all.length">
          No call is kept yet: keep some in Water, or choose a kit for your waters.
        </p>
        <ul v-else-if="settings.kitFor === 'waters'">
          <li v-for="w in waters.list" :key="w.id">
            <label class="flex min-h-12 items-center gap-3 border-t border-hair">
              <input
                type="checkbox"
                class="h-5 w-5 accent-(--ink)"
                :checked="fished.includes(w)"
                @change="turnWater(w.id)"
              />
              <b>{{ w.name }}</b>
              {{ w.kind }}
            </label>
          </li>
        </ul>
      </div>
    </Sheet>
  </main>
</template>
