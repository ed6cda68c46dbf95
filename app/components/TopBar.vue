<script setup lang="ts">
import { useReadingStore } from '~/reading/store'
import { THEMES, useSettingsStore } from '~/settings/store'
import { cap } from '~/words/options'

/** What belongs to the screen as a whole: sheets, undo, units, theme. */
defineProps<{ kept: number }>()
defineEmits<{ conditions: []; kept: []; help: [] }>()
const store = useReadingStore()
const settings = useSettingsStore()
</script>

<template>
  <header class="region flex min-h-11 flex-wrap items-stretch border-b-2 border-ink text-bar font-semibold">
    <button type="button" class="bar" @click="$emit('conditions')">Conditions</button>
    <button type="button" class="bar" @click="$emit('kept')">Kept{{ kept ? ` ${kept}` : '' }}</button>
    <button type="button" class="bar disabled:opacity-60" :disabled="!store.canUndo" @click="store.undo()">Undo</button>
    <button type="button" class="bar" aria-label="Keys and words" @click="$emit('help')">?</button>
    <span class="ml-auto flex">
      <button
        type="button"
        class="bar"
        :aria-label="
          settings.units === 'us'
            ? 'Feet and Fahrenheit. Change to metres and Celsius'
            : 'Metres and Celsius. Change to feet and Fahrenheit'
        "
        @click="settings.units = settings.units === 'us' ? 'metric' : 'us'"
      >
        {{ settings.units === 'us' ? 'ft °F' : 'm °C' }}
      </button>
      <fieldset class="flex">
        <legend class="off">Light to read in</legend>
        <label
          v-for="t in THEMES"
          :key="t"
          :class="[
            'flex cursor-pointer items-center px-2.25 has-focus-visible:outline-3',
            'has-focus-visible:-outline-offset-3',
            settings.theme === t ? 'border-t-[7px] border-ink pb-1.75 font-bold' : 'text-ink2',
          ]"
        >
          <input v-model="settings.theme" type="radio" name="theme" class="off" :value="t" />
          {{ cap(t) }}
        </label>
      </fieldset>
    </span>
  </header>
</template>

<style scoped>
.bar {
  padding: 0 9px;
  min-height: 44px;
  white-space: nowrap;
}
</style>
