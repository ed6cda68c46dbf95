<script setup lang="ts">
import { computed } from 'vue'
import { LURES } from '#core/lure/types'
import type { SharedBox } from '#shared/share'
import { cap } from '~/words/options'
import { counted } from '~/words/numbers'
import SharedFigure from './SharedFigure.vue'

/** A box that was shared: what is carried of each lure. */
const props = defineProps<{ box: SharedBox }>()
const total = computed(() => props.box.lures.flatMap(l => l.finishes).reduce((sum, f) => sum + f.count, 0))
</script>

<template>
  <section class="part">
    <h2>{{ counted(total, 'lure') }}</h2>
    <div v-for="l in box.lures" :key="l.lure">
      <h2 class="lesser">{{ cap(LURES[l.lure].words) }}</h2>
      <div v-for="f in l.finishes" :key="f.finishId + f.own" class="row">
        <SharedFigure :finish-id="f.finishId" />
        <p>
          <b>{{ f.name }}{{ f.own ? ', repainted' : '' }}</b>
          {{ f.count > 1 ? f.count : '' }}
        </p>
      </div>
    </div>
  </section>
</template>
