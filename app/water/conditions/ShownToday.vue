<script setup lang="ts">
import { useReadingStore } from '~/reading/store'
import { FAMILIES } from '#core/paintwork/families'
import { cap } from '~/words/options'
import CheckGrid from '~/common/CheckGrid.vue'

/** Colours the spot has been shown today. */
const store = useReadingStore()
const FAMILY_OPTIONS = FAMILIES.map(value => ({ value, words: cap(value) }))
function toggle(f: (typeof FAMILIES)[number]) {
  const shown = store.reading.fishedThrough
  store.set({ fishedThrough: shown.includes(f) ? shown.filter(x => x !== f) : [...shown, f] })
}
</script>

<template>
  <fieldset class="mb-3 break-inside-avoid bg-page px-3 pb-1">
    <legend class="wide float-left w-full border-b-2 border-ink pt-2 pb-1 text-small font-bold tracking-wide uppercase">
      Colours the spot has been shown today
    </legend>
    <CheckGrid
      class="clear-both grid-cols-3!"
      :options="FAMILY_OPTIONS"
      :on="f => store.reading.fishedThrough.includes(f)"
      @turn="toggle"
    />
  </fieldset>
</template>
