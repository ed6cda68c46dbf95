<script setup lang="ts">
import { computed } from 'vue'
import type { LureId } from '#core/lure/types'
import { LIMITS } from '#shared/vocabulary'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'
import { atMinute, clock, minuteOfDay } from '~/reading/clock'
import { useReadingStore } from '~/reading/store'
import { useUnits } from '~/settings/useUnits'
import { LURE_OPTIONS } from '~/words/options'
import { type BoxView, useBoxStore } from './store'

/** How the box is looked at: from how far, at which hour, and what of it. */
const view = defineModel<BoxView>('view', { required: true })
const mapped = defineModel<LureId | null>('mapped', { required: true })
const only = defineModel<LureId | 'all'>('only', { required: true })
const search = defineModel<string>('search', { required: true })
const withRetired = defineModel<boolean>('withRetired', { required: true })
const box = useBoxStore()
const reading = useReadingStore()
const { length, lengthText } = useUnits()
const VIEWS = [
  { value: 'fish' as const, words: 'as the fish sees it' },
  { value: 'place' as const, words: 'by where it is kept' },
  { value: 'map' as const, words: 'on a map of looks' },
]
const types = computed(() => [...new Set(box.all.map(l => l.body.lure))])
const typeOptions = computed(() => [
  { value: 'all' as const, words: 'All lures' },
  ...LURE_OPTIONS.filter(o => types.value.includes(o.value)),
])
const mapOptions = computed(() => LURE_OPTIONS.filter(o => types.value.includes(o.value)))
const minute = computed({
  get: () => minuteOfDay(reading.reading.timeMs, reading.reading.zone),
  set: m => reading.set({ timeMs: atMinute(reading.reading.timeMs, reading.reading.zone, Number(m)) }),
})
/** Distances on the slider go by shares: as much of it from 10 to 20 cm as from 1 to 2 m. */
const off = computed({
  get: () => Math.round(100 * Math.log10(reading.reading.fishM / 0.1)),
  set: v => reading.set({ fishM: 0.1 * 10 ** (Number(v) / 100) }),
})
</script>

<template>
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
        :aria-valuetext="lengthText(reading.reading.fishM)"
      />
      <NumberField
        label="Distance"
        :value="reading.reading.fishM"
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
      v-if="view === 'map' && mapped"
      bare
      label="Lure"
      :value="mapped"
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
</template>
