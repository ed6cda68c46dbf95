<script setup lang="ts">
import { TARGETS } from './targets'
import type { Tally } from './trip'
import { useLogStore } from './store'

/** Four large targets for a wet thumb, and casts beneath them; each is one tap, and the last can be taken back. */
defineProps<{ tally: Tally }>()
const log = useLogStore()
</script>

<template>
  <div>
    <div class="grid grid-cols-2">
      <button
        v-for="(t, i) in TARGETS"
        :key="t.what"
        type="button"
        class="figure flex min-h-26 items-center justify-between border-b-2 border-ink px-4 text-rank font-bold"
        :class="[i % 2 ? '' : 'border-r-2', t.what === 'landed' ? 'bg-accent text-on-accent' : '']"
        @click="e => log.touch(t.what, e)"
      >
        {{ t.words }}
        <span class="font-medium">{{ t.count(tally) }}</span>
      </button>
    </div>
    <button
      type="button"
      class="figure flex min-h-14 w-full items-center justify-between border-b-2 border-ink px-4 text-lead font-bold"
      @click="e => log.touch('cast', e)"
    >
      Cast
      <span class="font-medium">{{ tally.casts }}</span>
    </button>
  </div>
</template>
