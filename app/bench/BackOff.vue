<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { BarShown } from './work'
import DragHandle from '~/common/DragHandle.vue'
import { useUnits } from '~/settings/useUnits'

/** How far one has backed off, and where each lure went: the fish's above the line, a diver's under it. */
const props = defineProps<{ shown: BarShown; fish: string }>()
const off = defineModel<number>({ required: true })
const { length, lengthText, lengthNumber } = useUnits()
const region = ref<HTMLElement | null>(null)
const { width } = useElementSize(region)
const [LEFT, RIGHT, LINE_Y, HANDLE] = [70, 54, 45, 92]
const farthest = computed(() => props.shown.bar.farthestM)
const xOf = (m: number) => LEFT + (m / farthest.value) * Math.max(10, width.value - LEFT - RIGHT)
const perPx = computed(() => farthest.value / Math.max(10, width.value - LEFT - RIGHT))
const move = (dx: number, _: number, from: number) => Math.min(farthest.value, Math.max(0.1, from + dx * perPx.value))
const marks = computed(() =>
  props.shown.ids.flatMap((id, i) => {
    const h = props.shown.bar.hung.find(x => x.finishId === id)!
    const letter = String.fromCharCode(65 + i)
    return [
      { key: `f${id}`, letter, m: h.fishM, above: true },
      { key: `d${id}`, letter, m: h.diverM, above: false },
    ].filter(k => k.m < off.value)
  }),
)
/** Letters that would lie on one another stand in two rows. */
const placed = computed(() => {
  const sorted = [...marks.value].sort((a, b) => a.m - b.m)
  const last = { true: [-99, -99], false: [-99, -99] } as Record<string, number[]>
  return sorted.map(k => {
    const x = xOf(k.m)
    const rows = last[String(k.above)]!
    const row = x - rows[0]! >= 18 ? 0 : x - rows[1]! >= 18 ? 1 : rows[0]! <= rows[1]! ? 0 : 1
    rows[row] = x
    return { ...k, x, y: k.above ? LINE_Y - 22 - row * 18 : LINE_Y + 6 + row * 18 }
  })
})
const ticks = computed(() => {
  const far = lengthNumber(farthest.value)
  const step = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20].find(t => far / t <= 8) ?? 50
  return Array.from({ length: Math.floor(far / step) }, (_, i) => (i + 1) * step).map(shown => ({
    shown: Number(shown.toFixed(1)),
    x: xOf(length.value.read(shown)),
  }))
})
</script>

<template>
  <div ref="region" class="relative h-27 overflow-hidden border-y-2 border-ink">
    <span class="absolute top-3 left-3 text-note">{{ fish }}</span>
    <span class="absolute top-16 left-3 text-note">Diver</span>
    <svg class="absolute inset-0 h-full w-full" aria-hidden="true">
      <path :d="`M${LEFT} ${LINE_Y}H${width - RIGHT / 2}`" stroke="currentColor" stroke-width="1" opacity="0.5" />
      <path :d="`M${LEFT} ${LINE_Y}H${xOf(off)}`" stroke="currentColor" stroke-width="3.5" />
      <template v-for="t in ticks" :key="t.shown">
        <path :d="`M${t.x} ${LINE_Y - 5}V${LINE_Y + 5}`" stroke="currentColor" />
        <text :x="t.x" y="103" text-anchor="middle" class="figure text-tick" fill="currentColor">{{ t.shown }}</text>
      </template>
      <text :x="width - 8" y="103" text-anchor="end" class="figure text-tick" fill="currentColor">
        {{ length.unit }}
      </text>
      <g v-for="k in placed" :key="k.key">
        <rect
          :x="k.x - 8"
          :y="k.y"
          width="16"
          height="16"
          :fill="k.above ? 'var(--ink)' : 'var(--page)'"
          stroke="var(--ink)"
        />
        <text
          :x="k.x"
          :y="k.y + 12.5"
          text-anchor="middle"
          class="figure text-label font-bold"
          :fill="k.above ? 'var(--page)' : 'var(--ink)'"
        >
          {{ k.letter }}
        </text>
      </g>
    </svg>
    <DragHandle
      label="Back off"
      :value="off"
      :min="0.1"
      :max="farthest"
      :step="farthest / 60"
      :text="lengthText(off)"
      :x="Math.min(width - HANDLE / 2, Math.max(HANDLE / 2, xOf(off) + HANDLE / 2))"
      :y="LINE_Y"
      :w="HANDLE"
      :h="64"
      :move="move"
      @change="v => (off = v)"
    >
      <span
        class="figure flex h-full w-full flex-col items-center justify-center bg-accent leading-tight text-on-accent"
      >
        <span class="text-note">back off</span>
        <b class="text-lead">{{ lengthText(off) }}</b>
        <span aria-hidden="true">‹ ›</span>
      </span>
    </DragHandle>
  </div>
</template>
