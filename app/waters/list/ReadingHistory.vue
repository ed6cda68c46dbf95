<script setup lang="ts">
import { CustomChart, ScatterChart } from 'echarts/charts'
import { GridComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { DateTime } from 'luxon'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import { type Kept, useRecordsStore } from '~/records/store'
import { useSettingsStore } from '~/settings/store'
import { useUnits } from '~/settings/useUnits'
import { JAR_WORDS } from '~/words/options'

/**
 * Readings of a water through the year: depth of the disc downwards, the day of the year across, every year on the
 * same months; a bar spans nine times in ten.
 */
const props = defineProps<{ waterId: string }>()
use([CustomChart, ScatterChart, GridComponent, TooltipComponent, SVGRenderer])
const records = useRecordsStore()
const settings = useSettingsStore()
const { length, lengthText, temperatureText } = useUnits()
const readings = computed(() =>
  records
    .list('reading')
    .filter(r => r.body.waterId === props.waterId)
    .sort((a, b) => b.body.at.localeCompare(a.body.at)),
)
const token = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()
const shown = (m: number) => Number(length.value.show(m).toFixed(2))
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
/** Where a moment stands in its year, in months. */
const monthOf = (at: string) => {
  const t = DateTime.fromISO(at)
  return ((t.ordinal - 1) / t.daysInYear) * MONTHS.length
}
const words = ({ body: r }: Kept<'reading'>) =>
  [
    DateTime.fromISO(r.at).toFormat('d LLL yyyy, HH:mm'),
    `${JAR_WORDS[r.tint]}, disc to ${lengthText(r.visibilityM.best)}`,
    r.temperatureC === null ? '' : temperatureText(r.temperatureC),
  ]
    .filter(Boolean)
    .join('. ')
interface Drawing {
  value: (i: number) => number
  coord: (at: [number, number]) => [number, number]
}
const option = computed(() => {
  void settings.theme
  const ink = token('--ink')
  const text = { color: ink, fontFamily: 'Archivo Variable', fontSize: 12 }
  const points = readings.value.map(({ body: { at, visibilityM: v } }) => [
    monthOf(at),
    shown(v.best),
    shown(v.low),
    shown(v.high),
  ])
  return {
    animation: false,
    grid: { left: 40, right: 10, top: 26, bottom: 22 },
    tooltip: {
      trigger: 'item',
      backgroundColor: token('--page'),
      borderColor: ink,
      borderRadius: 0,
      textStyle: text,
      formatter: ({ dataIndex }: { dataIndex: number }) => words(readings.value[dataIndex]!),
    },
    xAxis: {
      type: 'value',
      min: 0,
      max: MONTHS.length,
      interval: 1,
      axisLabel: { ...text, formatter: (v: number) => MONTHS[v]?.[0] ?? '' },
      splitLine: { show: false },
      axisLine: { lineStyle: { color: ink } },
    },
    yAxis: {
      type: 'value',
      inverse: true,
      min: 0,
      name: `disc, ${length.value.unit}`,
      nameLocation: 'start',
      nameTextStyle: { ...text, align: 'left' },
      axisLabel: text,
      splitLine: { lineStyle: { color: token('--hair') } },
    },
    series: [
      {
        type: 'custom',
        data: points,
        encode: { x: 0, y: [1, 2, 3] },
        silent: true,
        renderItem: (_: unknown, api: Drawing) => {
          const [x, y1] = api.coord([api.value(0), api.value(2)])
          const [, y2] = api.coord([api.value(0), api.value(3)])
          return { type: 'line', shape: { x1: x, y1, x2: x, y2 }, style: { stroke: ink, lineWidth: 1.5 } }
        },
      },
      { type: 'scatter', data: points, symbolSize: 9, itemStyle: { color: ink } },
    ],
  }
})
</script>

<template>
  <section class="mt-5" aria-label="Readings through the year">
    <h4 class="figure text-value font-bold">Readings through the year</h4>
    <p v-if="!readings.length" class="text-ink2">
      None kept yet. Take some at the desk (Conditions, then "Not sure?") and keep what they come to.
    </p>
    <template v-else>
      <div class="h-48" aria-hidden="true"><VChart :option="option" autoresize /></div>
      <ul>
        <li v-for="r in readings" :key="r.id" class="flex items-center justify-between border-t border-hair">
          <span class="leading-tight">{{ words(r) }}</span>
          <button
            type="button"
            class="min-h-11 shrink-0 px-2 underline"
            :aria-label="`Take the reading of ${words(r)} out`"
            @click="records.remove('reading', r.id)"
          >
            Take it out
          </button>
        </li>
      </ul>
    </template>
  </section>
</template>
