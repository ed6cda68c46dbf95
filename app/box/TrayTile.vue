<script setup lang="ts">
import { computed } from 'vue'
import type { BoxLure } from './store'
import type { TrayTileShown } from './work'
import HandFigure from '~/figures/HandFigure.vue'
import LureFigure from '~/figures/LureFigure.vue'
import { useTurn } from '~/figures/useTurns'
import { vThroughWater } from '~/figures/throughWater'
import { NIGHT_WATER, redTone } from '~/figures/tone'
import { useSettingsStore } from '~/settings/store'

/** A lure of the box: in the hand, below it as it looks in today's water, and the bracket of its look-alikes. */
const props = defineProps<{
  lure: BoxLure
  shown: TrayTileShown | null
  /** Its number in the kit that is looked at. */
  kitNumber: number | null
  /** Its part of a bracket: where it begins and ends, and what is written on it. */
  bracket: { first: boolean; last: boolean; words: string } | null
  width: number
}>()
defineEmits<{ edit: [] }>()
const settings = useSettingsStore()
/** A drawing of its own is for when the tray rests. */
const seenDrawn = useTurn(() => false)
const red = computed(() => settings.theme === 'night')
const water = computed(() => {
  const colour = props.shown?.seen.water
  return colour ? `background:${red.value ? redTone(colour, NIGHT_WATER) : colour}` : ''
})
const count = computed(() => (props.lure.body.count > 1 ? ` × ${props.lure.body.count}` : ''))
</script>

<script lang="ts">
/** Width of a tile's outlines, figure units. */
export const TILE_LINE = 2
</script>

<template>
  <div class="relative border-r border-hair" :style="{ width: `${width}px` }">
    <button
      type="button"
      class="block w-full text-left"
      :class="lure.body.retired ? 'opacity-70' : ''"
      :aria-label="`${lure.body.name}${count}${lure.body.retired ? ', retired' : ''}. Change it`"
      @click="$emit('edit')"
    >
      <span class="relative block h-19 bg-plate p-1">
        <span v-if="kitNumber !== null" class="figure absolute top-0 left-0 bg-ink px-1.5 py-0.5 font-bold text-page">
          {{ kitNumber }}
        </span>
        <span v-if="!lure.finish" class="text-note">no longer in the catalogue</span>
        <HandFigure v-else :finish="lure.finish" :line="TILE_LINE" />
      </span>
      <span
        v-if="shown && lure.finish"
        v-through-water="{ seen: shown.seen, red }"
        class="figure flex h-11 items-center justify-center p-0.5 text-note font-bold"
        :style="water"
      >
        <span v-if="shown.seen.shape" class="h-full" :style="{ width: `${width * 0.62}px` }">
          <LureFigure v-if="seenDrawn" :lure="lure.finish.lure" through :red="red" />
        </span>
        <span v-else>gone</span>
      </span>
      <span v-else class="block h-11 bg-sunk" />
      <span class="block truncate px-1 pt-0.5 leading-tight">
        {{ lure.body.name }}
        <b v-if="count">{{ count }}</b>
      </span>
    </button>
    <span v-if="bracket" class="absolute inset-x-0 bottom-0.5 flex h-4 items-start" aria-hidden="true">
      <span
        class="mx-0 h-2 w-full border-ink"
        :class="['border-b-2', bracket.first ? 'ml-2 border-l-2' : '', bracket.last ? 'mr-2 border-r-2' : '']"
      />
    </span>
    <span
      v-if="bracket?.words"
      :class="[
        'figure pointer-events-none absolute bottom-0 left-4 z-10 bg-page px-1',
        'text-note font-semibold whitespace-nowrap',
      ]"
    >
      {{ bracket.words }}
    </span>
  </div>
</template>
