<script setup lang="ts">
import { computed } from 'vue'
import { SPECIES } from '#core/eye/species'
import type { Side } from '#core/lure/types'
import { useColumn } from './useColumn'
import { useUnits } from '~/settings/useUnits'
import { useReadingStore } from '~/reading/store'
import { LIMITS } from '#shared/vocabulary'
import { at, vFollow } from '~/common/follow'
import DragHandle from '~/common/DragHandle.vue'
import NumberField from '~/common/NumberField.vue'
import FishFigure from './FishFigure.vue'
import TurnDial from './TurnDial.vue'

/**
 * The fish where it looks from: how far off, and whether level, from below or from above; with the rings of what it
 * can make out.
 */
const store = useReadingStore()
const c = useColumn()
const { length, lengthText } = useUnits()
const s = computed(() => store.reading)
const SIDE_WORDS: Record<Side, string> = {
  level: 'level with the lure',
  below: 'looking up from below',
  above: 'looking down from above',
}
const lureY = c.lureY
const fish = c.fish
const ink = c.ink
// What goes along with the lure is read by getters: nothing here is drawn anew for it.
const x = () => fish.value.x
const y = () => fish.value.y
const rad = computed(() => fish.value.rad)
const label = () => at(fish.value.labelX, fish.value.labelY)
const ground = () => ({ background: c.patch(fish.value.labelY + 11, 22) })
/** Room left under the surface, px. */
const UNDER_PX = 4
const aboutLure = () => at(c.lureX.value, lureY.value - c.skyH.value - UNDER_PX)
const sight = computed(() => `M0 0L${fish.value.px * Math.cos(rad.value)} ${fish.value.px * Math.sin(rad.value)}`)

/** Drag: the distance is how far the pointer is from the lure, the side its angle. */
function move(dx: number, dy: number, from: number): number {
  const px = from * c.pxPerM.value
  const x = px * Math.cos(startRad) + dx
  const y = px * Math.sin(startRad) + dy
  const angle = (Math.atan2(y, Math.max(1, x)) * 180) / Math.PI
  const side: Side = angle > 30 ? 'below' : angle < -24 ? 'above' : 'level'
  if (side !== s.value.side) store.set({ side })
  return Math.hypot(x, y) / c.pxPerM.value
}
let startRad = 0
function hold(on: boolean) {
  startRad = fish.value.rad
  c.held.value = on
}
const ORDER: Side[] = ['above', 'level', 'below']
function cross(direction: 1 | -1) {
  store.set({ side: ORDER[Math.min(2, Math.max(0, ORDER.indexOf(s.value.side) + direction))]! })
}

const ranked = computed(() => c.screen.value?.call)
const arcs = computed(() => {
  if (!ranked.value) return []
  const arc = (m: number, width: number) => {
    const px = m * c.pxPerM.value
    // Long arcs shorten their angle, so that both keep to about the same length.
    const half = Math.min(0.75, 90 / Math.max(px, 1))
    const p = (a: number) => `${(px * Math.cos(a)).toFixed(1)} ${(px * Math.sin(a)).toFixed(1)}`
    return {
      d: `M${p(rad.value - half)}A${px.toFixed(1)} ${px.toFixed(1)} 0 0 1 ${p(rad.value + half)}`,
      width,
    }
  }
  const side = s.value.side
  return [arc(ranked.value.colourRangeM[side], 6), arc(ranked.value.sightingRangeM[side], 1.6)]
})
</script>

<template>
  <div
    class="pointer-events-none absolute inset-x-0 overflow-hidden"
    :style="{ top: `${c.skyH.value + UNDER_PX}px`, height: `${c.waterH.value}px` }"
  >
    <svg v-follow="aboutLure" width="1" height="1" class="floats" aria-hidden="true">
      <path
        v-for="(a, i) in arcs"
        :key="i"
        :d="a.d"
        fill="none"
        :stroke="ink"
        :stroke-width="a.width"
        :stroke-opacity="i === 0 ? 0.55 : 0.95"
      />
      <path :d="sight" :stroke="ink" stroke-width="1" stroke-dasharray="2 4" />
    </svg>
  </div>
  <DragHandle
    :label="`Distance of the ${SPECIES[s.species].words}`"
    :value="s.fishM"
    :min="LIMITS.fishM[0]"
    :max="LIMITS.fishM[1]"
    :step="0.1"
    :text="`${lengthText(s.fishM)}, ${SIDE_WORDS[s.side]}`"
    :x="x"
    :y="y"
    :w="92"
    :h="52"
    grows="right"
    :move="move"
    @change="m => store.set({ fishM: m })"
    @held="hold"
    @cross="cross"
  >
    <FishFigure
      :species="s.species"
      :style="{ color: ink, transform: `rotate(${s.side === 'below' ? 38 : s.side === 'above' ? -30 : 0}deg)` }"
    />
  </DragHandle>
  <div v-follow="label" class="floats" :style="{ color: ink }">
    <NumberField
      label="Distance of the fish"
      :value="s.fishM"
      :scale="length"
      :min="LIMITS.fishM[0]"
      :max="LIMITS.fishM[1]"
      tag
      @change="m => store.set({ fishM: m })"
    >
      <template #default="{ shown }">
        <span v-follow="ground" class="px-1 text-value">{{ shown }} {{ length.unit }}</span>
      </template>
    </NumberField>
  </div>
  <TurnDial />
</template>
