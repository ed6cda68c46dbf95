<script setup lang="ts">
import { computed } from 'vue'
import { coverKind } from '#core/cover/cover'
import { scatter } from '~/figures/strands'
import { topOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { useUnits } from '~/settings/useUnits'
import { COVER_OPTIONS } from '~/words/options'
import DragHandle from '~/common/DragHandle.vue'
import { useColumn } from './useColumn'

/** What stands in the water, drawn where it stands and dragged to its height: grass, limbs, rock; a mat’s shade. */
const store = useReadingStore()
const c = useColumn()
const { lengthText } = useUnits()
const cover = computed(() => store.reading.cover)
const topM = computed(() => topOf(store.reading))
const topY = computed(() => Math.min(c.bedY.value, c.yOf(topM.value ?? 0)))
/** The picture's left, behind the ruler and clear of jars and lure; the right half, where the fish is. */
const LEFT = { from: 0.06, to: 0.24 } as const
const RIGHT = { from: 0.62, to: 1 } as const
const COUNT = { sparse: 5, scattered: 9, thick: 18 } as const
const floats = computed(() => cover.value === 'mat' || cover.value === 'pads')

const drawn = computed(() => {
  const kind = cover.value
  if (!kind || !coverKind(kind).passage || topM.value === null) return ''
  const r = scatter(17)
  const [top, foot] = [topY.value, c.bedY.value + 8]
  let d = ''
  for (const span of [LEFT, RIGHT]) {
    const count = Math.round(COUNT[store.reading.density] * (span === RIGHT ? 1.4 : 0.8))
    for (let i = 0; i < count; i++) {
      const x = c.width.value * (span.from + ((span.to - span.from) * (i + r())) / count)
      const head = top + r() * 0.12 * Math.max(0, foot - top)
      const bend = (r() - 0.5) * 22
      if (floats.value) d += `M${x - 14} ${c.skyH.value + 3}h28M${x} ${c.skyH.value + 3}q${bend} 40 ${bend / 2} 90`
      else if (kind === 'dock') d += i % 3 ? '' : `M${x} ${c.skyH.value - 6}V${foot}`
      else if (kind === 'wood') d += `M${x} ${foot}L${x + bend * 2} ${head}m0 0l${-bend} 26m${bend / 2} 10l22 -14`
      else if (kind === 'grass')
        d += `M${x} ${foot}C${x + bend} ${foot - 40} ${x - bend} ${head + 40} ${x + bend * 0.6} ${head}`
      else d += `M${x - 16} ${foot}L${x - 8} ${head}h14L${x + 18} ${foot}`
    }
  }
  return d
})
const label = computed(() => COVER_OPTIONS.find(o => o.value === cover.value)?.words ?? '')
/** What stands on the bed may be dragged higher and lower; mats, pads and docks are at the surface. */
const drags = computed(() => topM.value !== null && drawn.value !== '' && !floats.value && cover.value !== 'dock')
const mostM = computed(() => Math.min(store.reading.waterM ?? c.reachM.value, c.reachM.value))
</script>

<template>
  <svg
    v-if="drawn"
    :width="c.width.value"
    :height="c.height.value"
    class="pointer-events-none absolute top-0 left-0"
    aria-hidden="true"
  >
    <rect
      v-if="floats"
      :x="c.width.value * RIGHT.from"
      :y="c.skyH.value"
      :width="c.width.value * (RIGHT.to - RIGHT.from)"
      :height="c.bedY.value - c.skyH.value"
      fill="#000"
      :fill-opacity="cover === 'mat' ? 0.28 : 0.1"
    />
    <path :d="drawn" fill="none" stroke="var(--bed2)" stroke-width="3" stroke-linecap="round" stroke-linejoin="round" />
  </svg>
  <DragHandle
    v-if="drags"
    :label="`Top of the ${label.toLowerCase()}`"
    :value="topM!"
    :min="0"
    :max="mostM"
    :step="0.1"
    :text="`${lengthText(topM!)} down`"
    :x="c.width.value * 0.21"
    :y="topY"
    :h="44"
    :w="48"
    grows="down"
    :move="(_dx, dy, from) => from + dy / c.pxPerM.value"
    @change="m => store.set({ topM: m })"
    @held="on => (c.held.value = on)"
  >
    <svg viewBox="-24 -22 48 44" width="48" height="44" aria-hidden="true" :style="{ color: c.ink.value }">
      <path d="M-20 0H24" stroke="currentColor" stroke-width="2" stroke-dasharray="5 4" />
      <path d="M0 -14l5 7h-10ZM0 14l5 -7h-10Z" fill="currentColor" />
    </svg>
  </DragHandle>
</template>
