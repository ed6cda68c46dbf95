<script setup lang="ts">
import { computed } from 'vue'
import LookThrough from '~/made-up/LookThrough.vue'
import StatusLine from '~/shell/StatusLine.vue'
import LureTile from '~/water/calls/LureTile.vue'
import { LURES } from '#core/lure/types'
import { cap } from '~/words/options'
import FirstAnswer from './FirstAnswer.vue'
import FirstWater from './FirstWater.vue'
import { useFirstStore } from './store'

/** The first minute: three taps in any order, and the first answer for the water under the boat. */
defineProps<{ phone: boolean; /** The answer could not be worked out. */ failed: boolean }>()
const emit = defineEmits<{ lures: []; conditions: []; all: [] }>()
const first = useFirstStore()
/** What most have on the line, of each kind one. */
const USUAL = [
  'shallow-crankbait',
  'lipless-crankbait',
  'spinnerbait',
  'jerkbait',
  'casting-jig',
  'stick-worm',
  'walking-topwater',
  'walking-frog',
] as const
const lures = computed(() => (first.told.lure && !USUAL.includes(first.told.lure as never) ? [first.told.lure] : []))
</script>

<template>
  <div :class="phone ? 'flex flex-col' : 'col-span-full row-2 grid min-h-0 grid-cols-[7fr_9fr] grid-rows-[1fr_auto]'">
    <FirstWater :class="phone ? '' : 'border-r-2 border-ink'" />
    <div class="scrolls flex min-h-0 flex-col">
      <div class="flex flex-wrap items-baseline gap-x-3 px-4 pt-2">
        <h2 id="first-line" class="figure text-lead font-bold">What is on the line?</h2>
        <button type="button" class="min-h-11 underline underline-offset-3" @click="emit('lures')">
          Not sure: which lure here?
        </button>
      </div>
      <fieldset aria-labelledby="first-line">
        <div class="grid grid-cols-8 border-t border-ink max-sm:grid-cols-4">
          <label
            v-for="l in [...lures, ...USUAL]"
            :key="l"
            :class="[
              'relative flex h-18 cursor-pointer border-r border-hair',
              'has-focus-visible:outline-3 has-focus-visible:-outline-offset-3',
            ]"
          >
            <input
              type="radio"
              name="first-lure"
              class="off"
              :value="l"
              :checked="first.told.lure === l"
              :aria-label="cap(LURES[l].words)"
              @change="first.tell({ lure: l })"
            />
            <LureTile class="justify-center" :lure="l" :chosen="first.told.lure === l" />
          </label>
        </div>
      </fieldset>
      <StatusLine :failed="failed" />
      <FirstAnswer @conditions="emit('conditions')" @all="emit('all')" />
    </div>
    <div class="col-span-full flex flex-wrap items-center gap-4 border-t-2 border-ink px-4 py-3">
      <LookThrough class="flex-1" />
      <button type="button" class="quiet" @click="emit('all')">Skip this: show me all of it</button>
    </div>
  </div>
</template>
