<script setup lang="ts">
import { computed } from 'vue'
import { MOST_HUNG } from '#core/bench/order'
import { finishesOf } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'
import { useBenchStore } from './store'
import { useBoxStore } from '~/box/store'
import HandFigure from '~/figures/HandFigure.vue'

/** What hangs on the bar: up to nine finishes of the lure that is fished. */
const props = defineProps<{ lure: LureId; hung: readonly string[] }>()
const bench = useBenchStore()
const box = useBoxStore()
const finishes = computed(() => finishesOf(props.lure))
const mine = computed(() => box.finishIds.filter(id => finishes.value.some(f => f.id === id)))
const turn = (id: string) =>
  bench.hang(props.lure, props.hung.includes(id) ? props.hung.filter(x => x !== id) : [...props.hung, id])
</script>

<template>
  <div>
    <p class="mb-2 flex flex-wrap items-center gap-2">
      <b class="figure">{{ hung.length }} of {{ MOST_HUNG }} hang.</b>
      <button type="button" class="quiet" @click="bench.hang(lure, [])">Nine that differ</button>
      <button v-if="mine.length > 1" type="button" class="quiet" @click="bench.hang(lure, mine)">
        Those of my box, {{ Math.min(MOST_HUNG, mine.length) }}
      </button>
    </p>
    <ul class="grid grid-cols-[repeat(auto-fill,minmax(130px,1fr))] gap-2" aria-label="Catalogue">
      <li v-for="f in finishes" :key="f.id">
        <button
          type="button"
          class="block w-full text-left disabled:opacity-60"
          :aria-pressed="hung.includes(f.id)"
          :class="hung.includes(f.id) ? 'outline-3 outline-ink' : ''"
          :disabled="!hung.includes(f.id) && hung.length >= MOST_HUNG"
          @click="turn(f.id)"
        >
          <span class="block h-14 bg-plate p-1"><HandFigure :finish="f" :line="2" /></span>
          <span class="block leading-tight">{{ f.name }}</span>
        </button>
      </li>
    </ul>
  </div>
</template>
