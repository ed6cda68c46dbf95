<script setup lang="ts">
import type { LureId } from '#core/lure/types'
import { nearest } from '#core/numeric/nearest'
import { computed } from 'vue'
import { useUnits } from '~/settings/useUnits'
import { vThroughWater } from '~/figures/throughWater'
import { NIGHT_WATER, redTone } from '~/figures/tone'
import type { SeenOut } from '~/water/model'
import LureFigure from '~/figures/LureFigure.vue'

/** The same lure at growing distances, in the water's own colour: smaller and paler, until it is gone. */
const props = defineProps<{ lure: LureId; strip: SeenOut[]; fishM: number; red: boolean }>()
const { lengthText } = useUnits()
const atFish = computed(() => nearest(props.strip, props.fishM, s => s.distanceM))
const width = (i: number) => `${92 - i * 13}%`
</script>

<template>
  <ol class="grid grid-cols-5" aria-label="As seen at growing distances">
    <li v-for="(s, i) in strip" :key="i" class="text-center">
      <span
        v-through-water="{ seen: s, red }"
        class="flex h-14.5 items-center justify-center"
        :style="{ background: red ? redTone(s.water, NIGHT_WATER) : s.water }"
      >
        <span v-if="s.shape" :style="{ width: width(i) }">
          <LureFigure :lure="lure" through :red="red" :label="`At ${lengthText(s.distanceM)}`" />
        </span>
        <span v-else class="figure text-note font-bold">gone</span>
      </span>
      <span
        class="figure block border-t-[5px] pt-0.5 text-note"
        :class="s === atFish ? 'border-ink font-bold' : 'border-transparent'"
      >
        {{ lengthText(s.distanceM) + (s === atFish ? ', fish' : '') }}
      </span>
    </li>
  </ol>
</template>
