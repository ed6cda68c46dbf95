<script setup lang="ts">
import { computed } from 'vue'
import { PHASE_WORDS } from '#core/season/phase'
import { useColumn } from './useColumn'
import { useReadingStore } from '~/reading/store'
import { PHASE_SHORT, seasonOptionOf, seasonOptions } from '~/words/options'

/**
 * The year along the foot. Filled where the angler says so, hollow where Piscator judged it from temperature and
 * date.
 */
const store = useReadingStore()
const c = useColumn()
const current = computed(() => {
  const phase = store.reading.season ?? c.screen.value?.phase
  return phase && seasonOptionOf(phase, store.reading.species)
})
const seasons = computed(() =>
  seasonOptions(store.reading.species).map(o => ({
    ...o,
    short: o.words === PHASE_WORDS.spring ? 'Spring' : PHASE_SHORT[o.value],
  })),
)
</script>

<template>
  <fieldset class="relative flex h-18.5 bg-bed2 px-1 text-on-bed">
    <legend class="off">Season</legend>
    <div
      class="pointer-events-none absolute top-7.75 right-[9%] left-[9%] border-t border-current opacity-70"
      aria-hidden="true"
    />
    <label
      v-for="p in seasons"
      :key="p.value"
      class="figure relative flex flex-1 cursor-pointer flex-col items-center gap-2 pt-5.5 text-note"
      :class="current === p.value ? 'font-bold' : 'font-medium'"
    >
      <input
        type="radio"
        name="season"
        class="peer off"
        :value="p.value"
        :checked="current === p.value"
        :aria-label="
          current === p.value && !store.reading.season ? `${p.words}, judged from temperature and date` : p.words
        "
        @click="store.set({ season: store.reading.season && current === p.value ? null : p.value })"
        @change="store.set({ season: p.value })"
      />
      <svg viewBox="-10 -10 20 20" width="18" height="18" class="peer-focus-visible:outline-3" aria-hidden="true">
        <path
          v-if="current === p.value"
          d="M0 -9L7 0L0 9L-7 0Z"
          :fill="store.reading.season ? 'currentColor' : 'var(--bed2)'"
          stroke="currentColor"
          stroke-width="1.8"
        />
        <path v-else d="M0 -5V5" stroke="currentColor" stroke-width="1.4" />
      </svg>
      <span aria-hidden="true">{{ p.short }}</span>
    </label>
    <p v-if="!store.reading.season" class="pointer-events-none absolute top-0 right-2 text-label">
      judged from temperature and date
    </p>
    <button
      v-else
      type="button"
      class="absolute top-0 right-1 min-h-6 px-1 text-label underline"
      @click="store.set({ season: null })"
    >
      let Piscator judge
    </button>
  </fieldset>
</template>
