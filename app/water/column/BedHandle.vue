<script setup lang="ts">
import { computed } from 'vue'
import { useColumn } from './useColumn'
import { useUnits } from '~/settings/useUnits'
import { useReadingStore } from '~/reading/store'
import { LIMITS } from '#shared/vocabulary'
import { at } from '~/common/follow'
import DragHandle from '~/common/DragHandle.vue'
import NumberField from '~/common/NumberField.vue'

/** The bottom, drawn up and down: how deep the water is. Until it is known the water counts as deep. */
const store = useReadingStore()
const c = useColumn()
const { length, lengthText } = useUnits()
const waterM = computed(() => store.reading.waterM)
/** Below the picture a bottom has no handle, only its number. */
const inSight = computed(() => waterM.value !== null && c.yOf(waterM.value) < c.height.value - 12)
const y = computed(() => Math.min(c.bedY.value, c.height.value - 30))
/** Breadth and height of the words on the bottom, px. */
const WORDS = { width: 124, height: 40 } as const
/** Where the words would stand clear of the fish's number and the disc's words: at the right, else at the left. */
const clearX = computed(() => {
  const top = y.value - 46
  const meets = (x: number, left: number, width: number, up: number, height: number) =>
    x < left + width && x + WORDS.width > left && top < up + height && top + WORDS.height > up
  const { fish, disc } = c
  return [c.width.value - 132, 74].find(
    at =>
      !meets(at, fish.value.labelX, 80, fish.value.labelY, 44) &&
      !meets(at, fish.value.x - 46, 92, fish.value.y - 26, 52) &&
      !meets(at, disc.value.wordsX, 136, disc.value.wordsY - 20, 44) &&
      !meets(at, disc.value.x - 33, 66, disc.value.y - 22, 44) &&
      !meets(at, c.lureX.value - 58, 116, c.lureY.value - 26, 52),
  )
})
const x = computed(() => clearX.value ?? c.width.value - 132)
/** A first bottom: a little below all that hangs in the water. */
const first = () => store.set({ waterM: Number(Math.max(0.5, 1.3 * store.depthM, 0.92 * c.reachM.value).toFixed(1)) })
const ground = computed(() => c.patch(y.value - 34, 20))
const [least, most] = LIMITS.waterDepthM
</script>

<template>
  <DragHandle
    v-if="inSight"
    label="Depth of the water"
    :value="waterM!"
    :min="least"
    :max="most"
    :step="0.1"
    :text="lengthText(waterM!)"
    :x="x - 40"
    :y="y"
    :w="56"
    :h="44"
    grows="down"
    :move="(_dx, dy, from) => Math.min(c.reachM.value, from + dy / c.pxPerM.value)"
    @change="m => store.set({ waterM: m })"
    @held="on => (c.held.value = on)"
  >
    <svg viewBox="-28 -22 56 44" width="56" height="44" aria-hidden="true" class="text-on-bed">
      <path d="M-24 -2H24M-24 3H24" stroke="currentColor" stroke-width="2.4" />
      <path d="M0 -18l6 8h-12ZM0 19l6 -8h-12Z" fill="currentColor" />
    </svg>
  </DragHandle>
  <div class="floats flex items-center" :style="{ ...at(x, y - 46), color: c.ink.value }">
    <template v-if="waterM !== null">
      <NumberField
        label="Depth of the water"
        :value="waterM"
        :scale="length"
        :min="least"
        :max="most"
        tag
        @change="m => store.set({ waterM: m })"
      >
        <template #default="{ shown }">
          <span class="px-1 text-note font-semibold" :style="{ background: ground }">
            {{ shown }} {{ length.unit }} deep
          </span>
        </template>
      </NumberField>
      <button
        type="button"
        class="figure min-h-11 min-w-11 font-bold"
        aria-label="Deep water: forget the bottom"
        @click="store.set({ waterM: null })"
      >
        ×
      </button>
    </template>
    <button
      v-else-if="clearX !== undefined"
      type="button"
      class="figure min-h-11 text-note font-semibold underline"
      @click="first"
    >
      <span class="px-1" :style="{ background: ground }">Set the bottom</span>
    </button>
  </div>
</template>
