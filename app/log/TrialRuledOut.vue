<script setup lang="ts">
import { LineChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import type { Block } from '#core/trial/verdict'
import { allowedThrough, ruledOut } from './trialWords'
import { useSettingsStore } from '~/settings/store'

/**
 * What the casts still allow: how many times the bites of the other are not ruled out after each whole pair, and dashed
 * if it goes on as it has; the line is what was bitten.
 */
const props = defineProps<{ blocks: readonly Block[]; names: Record<'a' | 'b', string> }>()
use([LineChart, GridComponent, MarkLineComponent, SVGRenderer])
const settings = useSettingsStore()
const token = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()
/** Doublings shown in either direction. */
const MOST = 3
const LEAST_CASTS = 400
const doublings = (ratio: number | null, open: number) =>
  ratio === null ? open : Math.max(-MOST, Math.min(MOST, Math.log2(ratio)))
const through = computed(() => allowedThrough(props.blocks))
const now = computed(() => through.value.past.at(-1)!)
const TIMES = ['even', 'twice', '4 times', '8 times'] as const
const option = computed(() => {
  void settings.theme
  const [ink, hair, plate] = [token('--ink'), token('--hair'), token('--plate')]
  const text = { color: ink, fontFamily: 'Archivo Variable', fontSize: 12 }
  const { past, toCome } = through.value
  const line = (of: typeof past, y: (p: (typeof past)[number]) => number) => of.map(p => [p.casts, y(p)])
  const low = (p: (typeof past)[number]) => doublings(p.low, -MOST)
  const high = (p: (typeof past)[number]) => doublings(p.high, MOST)
  const base = { type: 'line', showSymbol: false, silent: true, itemStyle: { color: ink } }
  const began = { casts: 0, low: null, high: null, ratio: 1 }
  const shaded = [began, ...past]
  const dashed = { ...base, lineStyle: { color: ink, width: 1.2, type: [4, 4] } }
  return {
    animation: false,
    grid: { left: 62, right: 16, top: 10, bottom: 36 },
    xAxis: {
      type: 'value',
      min: 0,
      max: Math.max(LEAST_CASTS, toCome.at(-1)?.casts ?? 0),
      name: 'casts',
      nameLocation: 'middle',
      nameGap: 20,
      nameTextStyle: text,
      axisLabel: text,
      splitLine: { show: false },
      axisLine: { onZero: false, lineStyle: { color: ink } },
    },
    yAxis: {
      type: 'value',
      min: -MOST,
      max: MOST,
      interval: 1,
      axisLabel: { ...text, formatter: (v: number) => TIMES[Math.abs(v)] },
      splitLine: { lineStyle: { color: hair } },
    },
    series: [
      { ...base, stack: 'kept', step: 'end', lineStyle: { opacity: 0 }, data: line(shaded, low) },
      {
        ...base,
        stack: 'kept',
        stackStrategy: 'all',
        step: 'end',
        lineStyle: { opacity: 0 },
        areaStyle: { color: plate, opacity: 1 },
        data: line(shaded, p => high(p) - low(p)),
      },
      { ...dashed, data: line(toCome, low) },
      { ...dashed, data: line(toCome, high) },
      {
        ...base,
        lineStyle: { color: ink, width: 3 },
        data: line(past, p => doublings(p.ratio, 0)),
        markLine: {
          symbol: 'none',
          lineStyle: { color: ink, width: 1.5, type: 'solid' },
          label: { show: false },
          data: [{ yAxis: 0 }, ...(past.length ? [{ xAxis: now.value.casts }] : [])],
        },
      },
    ],
  }
})
const spoken = computed(() => ruledOut(now.value ?? { low: null, high: null }, props.names))
</script>

<template>
  <section aria-label="What is ruled out">
    <h3 class="figure text-value font-bold">What the casts still allow</h3>
    <div class="relative" role="img" :aria-label="spoken">
      <div class="h-66"><VChart :option="option" autoresize /></div>
      <span class="absolute top-3 right-5 text-note font-semibold" aria-hidden="true">more on {{ names.a }}</span>
      <span class="absolute right-5 bottom-11 text-note font-semibold" aria-hidden="true">more on {{ names.b }}</span>
    </div>
    <p class="leading-snug">{{ spoken }}</p>
    <p class="text-note text-ink2">
      Grey: how many times the bites of the other are not ruled out after any whole pair. Dashed: if it goes on as it
      has.
    </p>
  </section>
</template>
