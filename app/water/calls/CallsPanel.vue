<script setup lang="ts">
import { useVirtualList } from '@vueuse/core'
import { computed, ref, watch, watchEffect } from 'vue'
import { knownFinish } from '#core/box/own'
import { finishById } from '#core/lure/finish'
import { useFigurePictures } from '~/figures/useFigurePictures'
import { useAnswers } from '~/water/useScreen'
import { useUnits } from '~/settings/useUnits'
import { useBoxStore } from '~/box/store'
import { useReadingStore } from '~/reading/store'
import { useTaughtStore } from '~/records/taught'
import { useSettingsStore } from '~/settings/store'
import { type CallShown, callShown, shows } from '~/water/callShown'
import { WATCHER_OPTIONS } from '~/words/options'
import Choice from '~/common/Choice.vue'
import CallRow, { ROW_LINE, ROW_PX } from './CallRow.vue'

/** The ranked calls: as many rows as fit are drawn, the rest when they are scrolled to. */
const props = defineProps<{ phone: boolean }>()
const emit = defineEmits<{ select: [id: string]; move: [id: string] }>()
const { list: shown, inSight, plate } = useAnswers()
const store = useReadingStore()
const settings = useSettingsStore()
const box = useBoxStore()
const taught = useTaughtStore()
const { lengthText } = useUnits()

const rowHeight = computed(() => (props.phone ? ROW_PX.phone : ROW_PX.desk))
const count = computed(() => shown.value?.answer.rows.length ?? 0)
const {
  list: window,
  containerProps,
  wrapperProps,
  scrollTo,
} = useVirtualList(
  computed(() => Array.from({ length: count.value }, (_, i) => i)),
  { itemHeight: () => rowHeight.value, overscan: 1 },
)

/** On a phone the page itself scrolls: the first few, then all on request. */
const FIRST_FEW = 6
const showAll = ref(false)
const indices = computed(() =>
  props.phone
    ? Array.from({ length: showAll.value ? count.value : Math.min(FIRST_FEW, count.value) }, (_, i) => i)
    : window.value.map(r => r.data),
)

/** What the row at a place shows: the newest answer, or the one before where it has not come so far down. */
function callAt(i: number): CallShown {
  const { answer, before, fresh } = shown.value!
  const of = i - (indices.value[0] ?? 0) < fresh ? answer : before
  return callShown(of, i) ?? callShown(answer, i) ?? callShown(answer, answer.rows.length - 1)!
}
/** Fewer looks than this leave colour little to decide. */
const FEW_LOOKS = 4
const finishes = computed(() => (shown.value?.answer.rows ?? []).reduce((n, r) => n + 1 + r.same.length, 0))
const selectedId = computed(() => shown.value?.answer.selectedId ?? null)
const ready = computed(() => shown.value !== null)
watchEffect(() => {
  inSight.value = { first: indices.value[0] ?? 0, count: indices.value.length }
})
const first = computed(() => shown.value?.answer.rows[0]?.name)
const fishWords = computed(() => (shown.value ? `, ${lengthText(shown.value.answer.fishM)}` : ''))
watch(
  () => store.reading.lure,
  () => scrollTo(0),
)
const { warm, inks } = useFigurePictures()
watch([() => shown.value?.answer.lure, inks], () =>
  warm(
    (shown.value?.answer.rows ?? []).map(r => knownFinish(r.finishId)!),
    ROW_LINE,
  ),
)
/** What the box says of the first pick. */
const ownedWords = computed(() => {
  if (!box.carried.length) return ''
  const none = !box.finishIds.some(id => id.startsWith(`${store.reading.lure}.`))
  if (none) return settings.onlyOwned ? 'Nothing of this lure is in your box: all finishes are shown.' : ''
  const { nearest } = plate.value ?? {}
  if (!nearest || settings.onlyOwned) return ''
  const near = nearest.steps < 1 ? 'the same to the fish' : `${Math.round(nearest.steps)} steps off to the fish`
  // What an angler has named is written as it was.
  const name = finishById(nearest.finishId) ? nearest.name.toLowerCase() : nearest.name
  return `The first pick is not in your box. Nearest: your ${name}, ${near}.`
})
/** Step the choice up or down the list. */
function step(by: 1 | -1) {
  const calls = shown.value?.answer.rows ?? []
  const i = Math.max(0, Math.min(calls.length - 1, calls.findIndex(c => shows(c, shown.value!.answer.selectedId)) + by))
  if (calls[i]) {
    emit('move', calls[i].finishId)
    scrollTo(Math.max(0, i - 1))
  }
}
defineExpose({ step })
</script>

<template>
  <section class="region flex min-h-0 flex-col" aria-label="Ranked calls">
    <div class="flex items-stretch border-b border-ink text-note">
      <span
        v-if="!phone"
        :class="[
          'flex w-28.5 shrink-0 items-center pl-10.5 min-[900px]:w-32.5 xl:w-39',
          'text-label font-semibold whitespace-nowrap',
        ]"
        aria-hidden="true"
      >
        In your hand
      </span>
      <Choice
        class="text-label whitespace-nowrap"
        bare
        :label="`At the fish${fishWords}`"
        :value="settings.watcher"
        :options="WATCHER_OPTIONS"
        @change="v => (settings.watcher = v)"
      />
      <button
        v-if="box.carried.length"
        type="button"
        class="ml-auto px-2 text-label font-semibold"
        :class="settings.onlyOwned ? 'chosen' : ''"
        :aria-pressed="settings.onlyOwned"
        @click="settings.onlyOwned = !settings.onlyOwned"
      >
        Only my box
      </button>
      <span
        class="flex items-center gap-2 px-2 text-ink2 max-xl:hidden max-md:flex"
        :class="box.carried.length ? '' : 'ml-auto'"
        aria-hidden="true"
      >
        <span class="flex items-center gap-1">
          <span class="inline-block h-1.5 w-4 bg-ink" />
          colour
        </span>
        <span class="flex items-center gap-1">
          <span class="inline-block w-4 border-t-2 border-ink" />
          shape
        </span>
      </span>
    </div>
    <p v-if="settings.watcher === 'fish'" class="border-b border-hair px-3 py-1 text-note text-ink2">
      False colour from two kinds of cone: red is its red-orange cone, blue-green its green one, grey the water it is
      used to.
    </p>
    <p v-if="taught.leans" class="flex items-center border-b border-ink px-3 font-semibold">
      {{ taught.leanedWords }}
      <NuxtLink to="/log" class="ml-auto flex min-h-11 items-center underline">Season</NuxtLink>
    </p>
    <p v-if="ownedWords" class="border-b border-hair px-3 py-1 text-note">{{ ownedWords }}</p>
    <p class="off" aria-live="polite">{{ first ? `First pick: ${first}` : '' }}</p>
    <div v-if="!ready" class="flex flex-1 flex-col" aria-busy="true">
      <p class="p-3">Working out what the fish can see …</p>
      <div v-for="i in 5" :key="i" class="flex h-26.25 gap-3 border-b border-hair p-2">
        <span class="h-19.5 w-57 bg-sunk" />
        <span class="h-4 w-40 bg-sunk" />
      </div>
    </div>
    <div v-else v-bind="phone ? {} : containerProps" :class="phone ? '' : 'scrolls min-h-0 flex-1'" tabindex="-1">
      <div v-bind="phone ? {} : wrapperProps">
        <CallRow
          v-for="i in indices"
          :key="i"
          :call-at="callAt"
          :place="i"
          :selected-id="selectedId"
          :phone="phone"
          @select="id => emit('select', id)"
        />
      </div>
      <p v-if="count < FEW_LOOKS" class="p-3 text-ink2">
        {{ finishes }} finishes, {{ count === 1 ? 'one look' : `${count} looks` }} to this fish here. Where and how
        deep, how big, how loud and how slow will do more than colour.
      </p>
      <button
        v-if="phone && !showAll && count > FIRST_FEW"
        type="button"
        class="min-h-12 w-full border-b border-ink font-semibold"
        @click="showAll = true"
      >
        All {{ count }} calls
      </button>
    </div>
  </section>
</template>
