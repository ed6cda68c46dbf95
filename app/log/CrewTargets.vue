<script setup lang="ts">
import { computed } from 'vue'
import type { Rod } from '#shared/schema/record'
import { useFinish } from '~/box/useFinish'
import { useLogStore } from './store'
import { TARGETS } from './targets'
import { bitesOf, byAngler, rodNow } from './trip'
import { counted } from '~/words/numbers'
import HandFigure from '~/figures/HandFigure.vue'

/** A column for each angler under the rod in that one's hand: one tap says what, and who. */
const props = defineProps<{ names: readonly string[]; rods: readonly Rod[] }>()
defineEmits<{ change: [who: number] }>()
const log = useLogStore()
const { finishOf, finishName } = useFinish()
const tallies = computed(() => byAngler(log.current!.body, log.taps))
const columns = computed(() =>
  props.names.map((name, who) => {
    const rod = rodNow(log.taps, who)
    return { name, who, rod: props.rods[rod]!, number: rod + 1, tally: tallies.value[who]! }
  }),
)
</script>

<template>
  <div class="grid border-b-2 border-ink" :class="names.length === 2 ? 'grid-cols-2' : 'grid-cols-3'">
    <section
      v-for="c in columns"
      :key="c.who"
      class="flex min-w-0 flex-col border-ink not-last:border-r-2"
      :aria-label="c.name"
    >
      <button
        type="button"
        class="block w-full text-left leading-tight"
        :aria-label="`${c.name}’s rod ${c.number}: ${finishName(c.rod.finishId)}. Change`"
        @click="$emit('change', c.who)"
      >
        <span class="block h-14 bg-plate p-1 will-change-transform">
          <HandFigure v-if="finishOf(c.rod.finishId)" :finish="finishOf(c.rod.finishId)!" :line="2" />
        </span>
        <b class="figure block truncate px-2 pt-1 text-lead">{{ c.name }}</b>
        <span class="figure block truncate px-2 pb-1 text-note">{{ counted(bitesOf(c.tally), 'bite') }}</span>
      </button>
      <button
        v-for="t in TARGETS"
        :key="t.what"
        type="button"
        class="figure flex min-h-22 items-center justify-between border-t-2 border-ink px-3 text-figure font-bold"
        :class="t.what === 'landed' ? 'bg-accent text-on-accent' : ''"
        :aria-label="`${t.words}, ${c.name}, ${t.count(c.tally)} so far`"
        @click="e => log.touch(t.what, e, c.who)"
      >
        {{ t.words }}
        <span class="font-medium">{{ t.count(c.tally) }}</span>
      </button>
    </section>
  </div>
</template>
