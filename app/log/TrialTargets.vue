<script setup lang="ts">
import type { Finish } from '#core/lure/finish'
import { useLogStore } from './store'
import { TARGETS } from './targets'
import type { Tally } from './trip'
import HandFigure from '~/figures/HandFigure.vue'

/** A column for each angler of a fair test under what is on the line: the cast first, then what it brought. */
export interface TrialColumn {
  who: number
  /** Empty where one fishes alone. */
  name: string
  finish: Finish | null | undefined
  onLine: string
  side: 'a' | 'b' | null
  casts: number
  tally: Tally
  /** The number is cast, or rods are to be changed: it takes no cast. */
  waits: boolean
}
defineProps<{ columns: readonly TrialColumn[]; per: number; where: string }>()
const log = useLogStore()
</script>

<template>
  <div class="grid border-b-2 border-ink" :class="columns.length === 2 ? 'grid-cols-2' : ''">
    <section
      v-for="c in columns"
      :key="c.who"
      class="flex min-w-0 flex-col border-ink not-last:border-r-2"
      :aria-label="c.name || 'You'"
    >
      <div :class="columns.length === 2 ? '' : 'flex'">
        <span class="block bg-plate p-1.5" :class="columns.length === 2 ? 'h-14' : 'h-22 w-40'">
          <HandFigure v-if="c.finish" :finish="c.finish" :line="2" />
        </span>
        <p class="min-w-0 flex-1 px-3 py-1 leading-tight" :role="columns.length === 1 ? 'status' : undefined">
          <b v-if="c.name" class="figure flex items-center justify-between text-lead">
            <span class="truncate">{{ c.name }}</span>
            <span
              v-if="c.side"
              class="h-2.5 w-10 shrink-0 border-2 border-ink"
              :class="c.side === 'a' ? 'bg-ink' : ''"
              aria-hidden="true"
            />
          </b>
          <span v-else class="block">on the line now</span>
          <b class="figure block truncate" :class="c.name ? 'text-note' : 'text-value'">{{ c.onLine }}</b>
          <span v-if="where" class="figure block text-note">{{ where }}</span>
        </p>
      </div>
      <button
        type="button"
        class="figure flex items-center justify-between gap-2 border-t-2 border-ink px-4 font-bold"
        :class="[
          columns.length === 2 ? 'min-h-24 text-figure' : 'min-h-26 text-rank',
          c.waits ? 'bg-sunk' : 'bg-accent text-on-accent',
        ]"
        :disabled="c.waits"
        :aria-label="c.name ? `Cast, ${c.name}, ${c.casts} of ${per}${c.waits ? ', wait' : ''}` : undefined"
        @click="e => log.touch('cast', e, c.who)"
      >
        {{ c.waits ? 'Wait' : 'Cast' }}
        <span class="whitespace-nowrap">
          {{ c.casts }}
          <span class="text-value font-semibold">of {{ per }}</span>
        </span>
      </button>
      <div :class="columns.length === 2 ? 'flex flex-1 flex-col' : 'grid grid-cols-2'">
        <button
          v-for="(t, i) in TARGETS"
          :key="t.what"
          type="button"
          class="figure flex min-h-22 items-center justify-between border-t-2 border-ink px-4 font-bold"
          :class="columns.length === 2 ? 'text-figure' : ['text-rank', i % 2 ? '' : 'border-r-2']"
          :aria-label="c.name ? `${t.words}, ${c.name}, ${t.count(c.tally)} so far` : undefined"
          @click="e => log.touch(t.what, e, c.who)"
        >
          {{ t.words }}
          <span class="font-medium">{{ t.count(c.tally) }}</span>
        </button>
      </div>
    </section>
  </div>
</template>
