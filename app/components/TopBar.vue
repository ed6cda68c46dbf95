<script setup lang="ts">
import { useReadingStore } from '~/reading/store'
import { THEMES, useSettingsStore } from '~/settings/store'
import { cap } from '~/words/options'
import WhereWhen from './WhereWhen.vue'

/**
 * The one bar: the name and the place one is in, its sheets and undo, where and when, units, and the light to read in.
 * On a phone the name and where and when stand at the head, the rest at the foot.
 */
defineProps<{ kept: number; part: 'whole' | 'head' | 'foot' }>()
defineEmits<{ conditions: []; kept: []; help: [] }>()
const store = useReadingStore()
const settings = useSettingsStore()
</script>

<template>
  <header
    class="region flex min-h-11 flex-wrap items-stretch text-bar font-semibold"
    :class="part === 'foot' ? 'border-y-2 border-ink' : 'border-b-2 border-ink'"
  >
    <template v-if="part !== 'foot'">
      <h1 class="wide flex items-center px-4 text-lead font-extrabold">Piscator</h1>
      <nav v-if="part === 'whole'" class="flex" aria-label="Places">
        <NuxtLink to="/" class="bar flex items-center border-t-[7px] border-ink pb-1.75 font-bold" aria-current="page">
          Water
        </NuxtLink>
      </nav>
      <WhereWhen v-if="part === 'head'" always class="ml-auto" @change="$emit('conditions')" />
    </template>
    <template v-if="part !== 'head'">
      <button type="button" class="bar" @click="$emit('conditions')">Conditions</button>
      <button type="button" class="bar" @click="$emit('kept')">Kept{{ kept ? ` ${kept}` : '' }}</button>
      <button type="button" class="bar disabled:opacity-60" :disabled="!store.canUndo" @click="store.undo()">
        Undo
      </button>
      <button type="button" class="bar min-w-11" aria-label="Keys and words" @click="$emit('help')">?</button>
      <span class="ml-auto flex">
        <WhereWhen v-if="part === 'whole'" class="mr-2" @change="$emit('conditions')" />
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
    </template>
  </header>
</template>

<style scoped>
.bar {
  padding-inline: 9px;
  min-height: 44px;
  white-space: nowrap;
}
@media (max-width: 999px) {
  .bar {
    padding-inline: 6px;
  }
}
</style>
