<script setup lang="ts">
import { LURE_IDS } from '#core/lure/types'
import { nextTick, onMounted, ref } from 'vue'
import { useReadingStore } from '~/reading/store'
import { LURE_OPTIONS, LURE_SHORT } from '~/words/options'
import Silhouette from '~/components/figure/Silhouette.vue'

/** The drawer of lure types as silhouettes; a radio group that scrolls sideways. */
const store = useReadingStore()
const words = Object.fromEntries(LURE_OPTIONS.map(o => [o.value, o.words]))
const root = ref<HTMLElement | null>(null)
onMounted(async () => {
  await nextTick()
  root.value?.querySelector('[data-chosen=true]')?.scrollIntoView({ block: 'nearest', inline: 'center' })
})
defineExpose({ focus: () => root.value?.querySelector<HTMLInputElement>('input:checked')?.focus() })
</script>

<template>
  <fieldset
    ref="root"
    :class="[
      'region flex min-w-0 shrink-0 overflow-x-auto overflow-y-hidden border-b border-ink px-1',
      '[scrollbar-width:thin]',
    ]"
  >
    <legend class="off">Lure type</legend>
    <label
      v-for="id in LURE_IDS"
      :key="id"
      :data-chosen="store.reading.lure === id"
      :class="[
        'narrow relative flex w-15.5 shrink-0 cursor-pointer flex-col items-center py-1 text-small',
        'font-semibold has-focus-visible:outline-3 has-focus-visible:-outline-offset-3',
        store.reading.lure === id ? 'chosen' : '',
      ]"
    >
      <input
        type="radio"
        name="lure"
        class="off"
        :value="id"
        :checked="store.reading.lure === id"
        :aria-label="words[id]"
        @change="store.setLure(id)"
      />
      <span class="h-7.5 w-14"><Silhouette :lure="id" :chosen="store.reading.lure === id" /></span>
      <span class="leading-[1.05] whitespace-nowrap" aria-hidden="true">{{ LURE_SHORT[id] }}</span>
    </label>
  </fieldset>
</template>
