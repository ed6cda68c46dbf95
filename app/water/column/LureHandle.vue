<script setup lang="ts">
import { computed } from 'vue'
import { useColumn } from './useColumn'
import { useUnits } from '~/settings/useUnits'
import { lureType } from '#core/lure/types'
import { useReadingStore } from '~/reading/store'
import { useSettingsStore } from '~/settings/store'
import { LIMITS } from '#shared/vocabulary'
import { vFollow } from '~/common/follow'
import { vThroughWater } from '~/figures/throughWater'
import DragHandle from '~/common/DragHandle.vue'
import LureFigure from '~/figures/LureFigure.vue'
import DepthFlag from './DepthFlag.vue'

/** The lure on its line at its running depth, in the colours the water leaves it. */
const store = useReadingStore()
const settings = useSettingsStore()
const c = useColumn()
const { lengthText } = useUnits()
// What a drag moves is read by getters: nothing here is drawn anew for it.
const depthM = () => store.depthM
const text = () => lengthText(depthM())
const y = () => c.lureY.value
const ink = c.ink
const runs = computed(() => lureType(store.reading.lure).runsM)
const red = computed(() => settings.theme === 'night')
const seen = computed(() => {
  const s = c.screen.value
  return s && s.lure === store.reading.lure ? s.close : undefined
})
/** No lure is dragged through the bottom, nor out of the picture. */
const deepestM = computed(() => Math.min(c.reachM.value, store.reading.waterM ?? Infinity))
const size = computed(() => Math.min(104, c.width.value * 0.26))
/** The line from the surface to the lure's nose, drawn for a depth of 1 and stretched to the depth it has. */
const line = computed(() => `M${c.lureX.value + 26} 0Q${c.lureX.value + 8} .5 ${c.lureX.value - size.value * 0.4} 1`)
const stretched = () => ({ transform: `translateY(${c.skyH.value}px) scaleY(${y() + 4 - c.skyH.value})` })
</script>

<template>
  <svg
    :width="c.width.value"
    :height="c.height.value"
    class="pointer-events-none absolute top-0 left-0"
    aria-hidden="true"
  >
    <path
      v-follow="stretched"
      :d="line"
      fill="none"
      :stroke="ink"
      stroke-width="1.1"
      vector-effect="non-scaling-stroke"
    />
    <path
      v-if="runs[1] > 0.2"
      :d="`M46 ${c.yOf(runs[0])}V${c.yOf(Math.min(runs[1], c.reachM.value))}`"
      :stroke="ink"
      stroke-width="5"
    />
  </svg>
  <DragHandle
    label="Running depth of the lure"
    :value="depthM"
    :min="LIMITS.depthM[0]"
    :max="LIMITS.depthM[1]"
    :step="0.1"
    :text="text"
    :x="c.lureX.value"
    :y="y"
    :w="size + 12"
    :h="52"
    grows="down"
    :move="(_dx, dy, from) => Math.min(deepestM, from + dy / c.pxPerM.value)"
    @change="m => store.set({ depthM: m })"
    @held="on => (c.held.value = on)"
  >
    <svg class="absolute inset-0" :width="size + 12" height="52" aria-hidden="true">
      <ellipse
        :cx="(size + 12) / 2"
        cy="26"
        :rx="size / 2 + 4"
        ry="25"
        fill="none"
        :stroke="ink"
        stroke-width="1.3"
        stroke-dasharray="3 3"
      />
    </svg>
    <span v-through-water="{ seen, red }" class="block" :style="{ width: `${size}px`, height: `${size * 0.43}px` }">
      <LureFigure :lure="store.reading.lure" through :red="red" />
    </span>
  </DragHandle>
  <DepthFlag
    label="Running depth"
    :depth-m="depthM"
    :limits="LIMITS.depthM"
    :y="y"
    @change="m => store.set({ depthM: m })"
  />
</template>
