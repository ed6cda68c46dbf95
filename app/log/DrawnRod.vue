<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed } from 'vue'
import { DRAW_MIN, drawnAt } from './draw'
import { useLogStore } from './store'

/** Rods changed every ten minutes by a draw: more of the bites can then be set against each other. */
const props = defineProps<{ nowMs: number }>()
const log = useLogStore()
const trip = computed(() => log.current!)
const drawn = computed(() => drawnAt(trip.value.body, props.nowMs))
const until = computed(() => (drawn.value ? DateTime.fromMillis(drawn.value.untilMs).toFormat('HH:mm') : ''))
const inHand = computed(() => drawn.value?.rod === log.rod)
const begin = () =>
  log.change(trip.value.id, {
    draw: { seed: Date.now() % 2 ** 31, everyMin: DRAW_MIN, from: new Date().toISOString() },
  })
const stop = () => log.change(trip.value.id, { draw: null })
</script>

<template>
  <section v-if="trip.body.rods.length > 1" class="flex items-stretch border-b border-hair" aria-label="By the draw">
    <template v-if="drawn">
      <p class="flex min-h-11 flex-1 items-center px-4" role="status">
        Rod {{ drawn.rod + 1 }} by the draw, until {{ until }}.
      </p>
      <button
        v-if="!inHand"
        type="button"
        class="figure border-l border-ink bg-accent px-4 font-bold text-on-accent"
        @click="log.tap('rod', { rod: drawn.rod, drawn: true })"
      >
        Taken
      </button>
      <button type="button" class="figure border-l border-ink px-4 font-semibold" @click="stop">As I like</button>
    </template>
    <button v-else type="button" class="min-h-11 flex-1 px-4 text-left underline underline-offset-4" @click="begin">
      Change rods every {{ DRAW_MIN }} minutes by the draw: far more bites then count
    </button>
  </section>
</template>
