<script setup lang="ts">
import { computed } from 'vue'
import { useColumn } from './useColumn'
import { useReadingStore } from '~/reading/store'
import { FACING_OPTIONS } from '~/words/options'
import { at, vFollow } from '~/common/follow'

/**
 * Turns the fish round the lure, with regard to the sun: the fish's ring, and the sun where it stands beyond the fish,
 * behind the angler, or to the side; round the whole ring where the fish may look any way.
 */
const store = useReadingStore()
const c = useColumn()
const index = computed(() => FACING_OPTIONS.findIndex(o => o.value === store.reading.facing))
const option = computed(() => FACING_OPTIONS[index.value]!)
const spot = () => at(c.fish.value.labelX + 66, c.fish.value.labelY - 8)
/** Where the sun stands on the ring; the fish is to the right of the lure and looks left. */
const SUN = { 'sun-in-face': [14, 0], 'sun-at-back': [-14, 0], 'across': [0, -14], 'any': null } as const
const sun = computed(() => SUN[store.reading.facing])

function turn(step: number) {
  const count = FACING_OPTIONS.length
  store.set({ facing: FACING_OPTIONS[(index.value + step + count) % count]!.value })
}
</script>

<template>
  <button
    v-follow="spot"
    type="button"
    class="absolute flex h-11 w-11 cursor-pointer items-center justify-center"
    :style="{ color: c.ink.value }"
    :aria-label="`Turn the fish: ${option.words}, ${option.note}`"
    :title="`${option.words}: ${option.note}`"
    @click="turn(1)"
    @keydown.right.prevent="turn(1)"
    @keydown.left.prevent="turn(-1)"
  >
    <svg viewBox="-22 -22 44 44" width="40" height="40" fill="none" stroke="currentColor" aria-hidden="true">
      <circle r="14" :stroke-width="sun ? 1.2 : 2.2" :stroke-dasharray="sun ? '2 3' : 'none'" />
      <path d="M5 0C1 -4 -5 -4 -8 0C-5 4 1 4 5 0L9 -3V3Z" fill="currentColor" stroke="none" />
      <g v-if="sun" :transform="`translate(${sun[0]} ${sun[1]})`">
        <circle r="5" fill="currentColor" stroke="none" />
        <path d="M0 -8.5V-6M0 6V8.5M-8.5 0H-6M6 0H8.5M-6 -6L-4.4 -4.4M4.4 4.4L6 6M6 -6L4.4 -4.4M-4.4 4.4L-6 6" />
      </g>
    </svg>
  </button>
</template>
