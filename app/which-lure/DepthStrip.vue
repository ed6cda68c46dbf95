<script setup lang="ts">
import { computed } from 'vue'
import { coverKind } from '#core/cover/cover'
import { lureType } from '#core/lure/types'
import type { HereLure } from '#core/which-lure/answer'
import { scatter } from '~/figures/strands'
import { useReadingStore } from '~/reading/store'
import { useUnits } from '~/settings/useUnits'

/** The water cut open beside the rows: where each lure runs, how far it could, the cover that stands there, the bed. */
const props = defineProps<{
  rows: readonly HereLure[]
  chosen: string
  waterM: number
  topM: number | null
  width: number
  height: number
  rowHeight: number
  colours: readonly string[]
  ink: string
}>()
const store = useReadingStore()
const { lengthNumber, length } = useUnits()
/** Room for the surface and the bed, px. */
const [TOP, BED] = [6, 22] as const
const y = (m: number) => TOP + (Math.min(m, props.waterM) / props.waterM) * (props.height - TOP - BED)
const marks = computed(() => {
  const step = [0.25, 0.5, 1, 2, 5, 10].find(s => props.waterM / s <= 7) ?? 20
  const unit = length.value.unit === 'ft' ? 0.3048 * Math.max(1, Math.round(step / 0.3048)) : step
  return Array.from({ length: Math.floor(props.waterM / unit) }, (_, i) => (i + 1) * unit)
})
const spots = computed(() =>
  props.rows.map((r, i) => {
    const [least, most] = lureType(r.lure).runsM
    const x = 44 + ((props.width - 74) * i) / Math.max(1, props.rows.length - 1)
    return {
      id: r.lure,
      x,
      y: y(r.depthM),
      from: y(least),
      to: y(Math.min(most, props.waterM)),
      row: (i + 0.5) * props.rowHeight,
    }
  }),
)
const stands = computed(() => {
  const { cover, density } = store.reading
  if (!cover || props.topM === null || !coverKind(cover).passage) return ''
  const r = scatter(7)
  const [top, foot] = [y(props.topM), props.height - BED + 4]
  const count = { sparse: 5, scattered: 9, thick: 16 }[density]
  let d = ''
  for (let i = 0; i < count; i++) {
    const x = 34 + ((props.width - 44) * (i + r())) / count
    const head = top + r() * 0.12 * (foot - top)
    const bend = (r() - 0.5) * 10
    if (cover === 'mat' || cover === 'pads') d += `M${x - 9} ${TOP + 3}h18`
    else if (cover === 'dock') d += i % 3 ? '' : `M${x} ${TOP}V${foot}`
    else if (cover === 'wood') d += `M${x} ${foot}L${x + bend * 3} ${head}m0 0l${-bend * 2} 14`
    else if (cover === 'grass')
      d += `M${x} ${foot}C${x + bend} ${foot - 20} ${x - bend} ${head + 20} ${x + bend * 0.6} ${head}`
    else d += `M${x - 10} ${foot}L${x - 5} ${head}h8L${x + 11} ${foot}Z`
  }
  return d
})
</script>

<template>
  <svg :width="width" :height="height" class="block" aria-hidden="true" :style="{ color: ink }">
    <defs>
      <linearGradient id="cut" x1="0" y1="0" x2="0" y2="1">
        <stop v-for="(c, i) in colours" :key="i" :offset="i / Math.max(1, colours.length - 1)" :stop-color="c" />
      </linearGradient>
    </defs>
    <rect :width="width" :height="height" fill="url(#cut)" />
    <path
      :d="stands"
      fill="none"
      stroke="var(--bed2)"
      stroke-width="3"
      stroke-linecap="round"
      stroke-linejoin="round"
    />
    <rect :y="height - BED + 2" :width="width" :height="BED - 2" fill="var(--bed)" />
    <path :d="`M28 ${TOP}V${height - BED}`" stroke="currentColor" />
    <g v-for="m in marks" :key="m" class="figure text-note font-semibold">
      <path :d="`M24 ${y(m)}h8`" stroke="currentColor" />
      <text :x="20" :y="y(m) + 4" text-anchor="end" fill="currentColor">{{ lengthNumber(m) }}</text>
    </g>
    <g v-for="s in spots" :key="s.id" stroke="currentColor" fill="currentColor">
      <path :d="`M${s.x} ${s.from}V${s.to}`" stroke-width="2" stroke-opacity=".45" />
      <path :d="`M${s.x} ${s.y}L${width} ${s.row}`" :stroke-width="s.id === chosen ? 2.4 : 1" />
      <circle :cx="s.x" :cy="s.y" :r="s.id === chosen ? 5.5 : 4" />
    </g>
  </svg>
</template>
