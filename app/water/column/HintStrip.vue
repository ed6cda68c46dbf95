<script setup lang="ts">
import { computed } from 'vue'
import { useSettingsStore } from '~/settings/store'

/** On a first visit, one line at a time: how to take a reading, and the usual mistake. Dismissed for good. */
const settings = useSettingsStore()
const HINTS = [
  { id: 'sky', text: 'Light: drag the sun to the hour you fish and pull the cloud in. One sky does not last the day.' },
  { id: 'surface', text: 'Wind: raise the surface for chop. Chop breaks up the picture and adds flash.' },
  {
    id: 'disc',
    text:
      'Clarity: lower something white on your shaded side until it is gone. Not in glare, and not just' +
      ' at the ramp.',
  },
  {
    id: 'tint',
    text: 'Tint is not clarity: hold a jar on white paper. Green, tea and silt change the picks differently.',
  },
  { id: 'lure', text: 'Depth: set where the lure runs, not where the bottom is.' },
  { id: 'fish', text: 'The fish: drag it to where it decides, and below or above the lure if it looks from there.' },
] as const
const hint = computed(() => HINTS.find(h => !settings.learnt.includes(h.id)))
const left = computed(() => HINTS.filter(h => !settings.learnt.includes(h.id)).length)
function learn(ids: readonly string[]) {
  settings.learnt = [...new Set([...settings.learnt, ...ids])]
}
</script>

<template>
  <aside
    v-if="hint"
    class="flex items-center gap-2 border-b-2 border-ink bg-page pl-3 text-note"
    aria-label="How to take the readings"
  >
    <p class="flex-1 py-2">{{ hint.text }}</p>
    <button type="button" class="min-h-11 px-2 font-bold whitespace-nowrap" @click="learn([hint.id])">
      Got it
      <span class="off">, next of {{ left }}</span>
    </button>
    <button type="button" class="min-h-11 px-2 whitespace-nowrap" @click="learn(HINTS.map(h => h.id))">Skip all</button>
  </aside>
</template>
