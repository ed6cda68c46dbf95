<script setup lang="ts">
import { LURES } from '#core/lure/types'
import type { LuresAnswer } from '#core/which-lure/answer'
import { cap } from '~/words/options'
import Silhouette from '~/figures/Silhouette.vue'

/** What cannot be fished here, and what keeps it out. */
defineProps<{ out: LuresAnswer['notHere'] }>()
</script>

<template>
  <section v-if="out.length" class="border-t-2 border-ink px-3 py-2" aria-label="Not here">
    <h3 class="figure text-value font-bold">Not here</h3>
    <ul class="out gap-x-5 gap-y-3 py-2">
      <li v-for="o in out" :key="o.lure" class="flex gap-2">
        <span class="h-8 w-14 shrink-0 text-ink2"><Silhouette :lure="o.lure" :chosen="false" /></span>
        <span>
          <span class="block font-bold">{{ cap(LURES[o.lure].words) }}</span>
          {{ o.why.text }}
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.out {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
}
</style>
