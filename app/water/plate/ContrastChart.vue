<script setup lang="ts">
import { LineChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import { useUnits } from '~/settings/useUnits'
import { useSettingsStore } from '~/settings/store'
import type { Curve } from '~/water/model'

/**
 * How plainly the chosen finish and its rivals stand out over distance, in multiples of what this eye can just see.
 * Ink only: dashes tell them apart.
 */
const props = defineProps<{ curves: Curve[]; fishM: number }>()
use([LineChart, GridComponent, MarkLineComponent, TooltipComponent, SVGRenderer])
const settings = useSettingsStore()
const { length } = useUnits()
const token = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()
interface Point {
  seriesName: string
  value: [number, number]
}
const tone = (contrast: number) => (contrast < 0 ? 'darker' : 'lighter')
const pointWords = (p: Point) => `${p.seriesName}: ${Math.abs(p.value[1]).toFixed(1)} × threshold, ${tone(p.value[1])}`
const DASH = ['solid', [6, 4], [2, 3]] as const
const option = computed(() => {
  void settings.theme
  const ink = token('--ink')
  const hair = token('--hair')
  const page = token('--page')
  const m = (v: number) => Number(length.value.show(v).toFixed(2))
  const text = { color: ink, fontFamily: 'Archivo Variable', fontSize: 12 }
  return {
    animation: false,
    grid: { left: 44, right: 12, top: 14, bottom: 34 },
    tooltip: {
      trigger: 'axis',
      backgroundColor: page,
      borderColor: ink,
      borderRadius: 0,
      textStyle: text,
      formatter: (points: Point[]) =>
        [`${points[0]!.value[0]} ${length.value.unit}`, ...points.map(pointWords)].join('<br>'),
    },
    xAxis: {
      type: 'value',
      min: 0,
      max: m(Math.max(...props.curves.map(c => c.rangesM.at(-1)!))),
      axisLabel: { ...text, showMaxLabel: false, formatter: (v: number) => `${Number(v.toFixed(1))}` },
      name: `distance, ${length.value.unit}`,
      nameLocation: 'middle',
      nameGap: 20,
      nameTextStyle: text,
      splitLine: { show: false },
      axisLine: { lineStyle: { color: ink } },
    },
    yAxis: { type: 'value', axisLabel: text, splitLine: { lineStyle: { color: hair } } },
    series: props.curves.map((c, i) => ({
      type: 'line',
      name: c.name,
      showSymbol: false,
      lineStyle: { color: ink, width: i ? 1.5 : 3, type: DASH[i] },
      itemStyle: { color: ink },
      data: c.rangesM.map((r, k) => [m(r), Number((c.contrast[k]! / c.threshold[k]!).toFixed(2))]),
      ...(i === 0
        ? {
            markLine: {
              silent: true,
              symbol: 'none',
              lineStyle: { color: ink, type: 'dashed', width: 1 },
              label: { ...text, formatter: (p: { name: string }) => p.name },
              data: [{ xAxis: m(props.fishM), name: 'fish' }],
            },
          }
        : {}),
    })),
  }
})
function curveWords(c: Curve): string {
  const lost = c.contrast.findIndex((v, k) => Math.abs(v) < c.threshold[k]!)
  const lostM = c.rangesM[lost] ?? c.rangesM.at(-1)!
  const at = `${length.value.show(lostM).toFixed(1)} ${length.value.unit}`
  return `${c.name}: ${tone(c.contrast[0]!)} than the water close up, lost at ${at}`
}
const spoken = computed(() => props.curves.map(curveWords).join('. '))
</script>

<template>
  <div role="img" :aria-label="`Contrast against distance. ${spoken}`">
    <div class="h-47.5"><VChart :option="option" autoresize /></div>
    <ul class="mt-1 text-note" aria-hidden="true">
      <li v-for="(c, i) in curves" :key="c.finishId" class="flex items-center gap-2">
        <svg width="30" height="6">
          <path d="M0 3H30" stroke="var(--ink)" :stroke-width="i ? 1.5 : 3" :stroke-dasharray="['', '6 4', '2 3'][i]" />
        </svg>
        {{ c.name }}
      </li>
    </ul>
    <p class="text-note text-ink2">
      Times what this eye can just see. Above 0 it is lighter than the water behind it, below 0 darker; between 1 and −1
      it is gone.
    </p>
  </div>
</template>
