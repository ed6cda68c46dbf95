<script setup lang="ts">
import { useReadingStore } from '~/reading/store'
import { FAMILIES } from '#core/paintwork/families'
import { cap } from '~/words/options'

/** Colours the spot has been shown today. */
const store = useReadingStore()
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
    <div class="clear-both grid grid-cols-3">
      <label v-for="f in FAMILIES" :key="f" class="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          class="size-5 accent-ink"
          :checked="store.reading.fishedThrough.includes(f)"
          @change="toggle(f)"
        />
        {{ cap(f) }}
      </label>
    </div>
  </fieldset>
</template>
