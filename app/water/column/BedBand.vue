<script setup lang="ts">
import { computed } from 'vue'
import { BACKGROUNDS } from '#core/sight/backgrounds'
import { useColumn } from './useColumn'
import { useReadingStore } from '~/reading/store'
import { scatter } from '~/figures/strands'
import { BACKGROUND_OPTIONS } from '~/words/options'
import Choice from '~/common/Choice.vue'

/** The floor of the picture: bottom, weed or wood, drawn in ink, and the choice of what is behind the lure. */
const props = defineProps<{ pick: boolean }>()
const store = useReadingStore()
const c = useColumn()
const kind = computed(() => BACKGROUNDS[store.reading.background].kind)
const bg = computed(() => store.reading.background)
const y0 = c.bedY
const edge = computed(() => {
  const r = scatter(11)
  let d = `M0 ${c.height.value}V${y0.value + 8}`
  for (let x = 0; x <= c.width.value + 40; x += 40)
    d += `Q${x - 20} ${y0.value + 2 + r() * 10} ${x} ${y0.value + 4 + r() * 8}`
  return `${d}V${c.height.value}Z`
})
const stones = computed(() => {
  if (!['rock', 'gravel', 'oyster', 'open', 'wood'].includes(bg.value)) return []
  const r = scatter(23)
  const big = bg.value === 'rock'
  // Where words stand on the bed it stays plain.
  const plainFrom = c.width.value * (props.pick ? 0.66 : 0.44)
  return Array.from({ length: big ? 16 : 34 }, () => {
    const w = big ? 22 + r() * 34 : 5 + r() * 9
    const x = r() * c.width.value
    const y = y0.value + 10 + r() * (c.height.value - y0.value - 12)
    if (x + w / 2 > plainFrom) return ''
    return `M${x - w / 2} ${y + w * 0.3}L${x - w * 0.3} ${y - w * 0.25}L${x + w * 0.15} ${y - w * 0.34}
      L${x + w / 2} ${y + w * 0.1}L${x + w * 0.36} ${y + w * 0.34}Z`
  })
})
const ripples = computed(() =>
  ['sand', 'pothole', 'clay', 'dark-mud'].includes(bg.value)
    ? Array.from(
        { length: 5 },
        (_, i) => `M0 ${y0.value + 14 + i * 9}q30 -6 60 0t60 0t60 0t60 0t60 0t60 0t60 0t60 0t60 0t60 0`,
      ).join('')
    : '',
)
const weed = computed(() => {
  if (kind.value !== 'weed' || bg.value === 'wood') return []
  const r = scatter(5)
  return Array.from({ length: 22 }, (_, i) => {
    const x = c.width.value * (0.5 + 0.5 * (i / 21)) + (r() - 0.5) * 10
    const h = 30 + r() * Math.min(120, c.waterH.value * 0.26)
    const b = (r() - 0.5) * 16
    return `M${x} ${y0.value + 14}
      C${x + b} ${y0.value - h * 0.4} ${x - b} ${y0.value - h * 0.6} ${x + b * 0.6} ${y0.value - h}`
  })
})
const wood = computed(() =>
  bg.value === 'wood'
    ? `M${c.width.value * 0.98} ${y0.value + 20}L${c.width.value * 0.72} ${y0.value - 60}l-3 -34
      M${c.width.value * 0.8} ${y0.value - 34}l-34 -16M${c.width.value * 0.86} ${y0.value - 14}
      l22 -46`
    : '',
)
</script>

<template>
  <svg
    :width="c.width.value"
    :height="c.height.value"
    class="pointer-events-none absolute top-0 left-0"
    aria-hidden="true"
  >
    <path
      v-for="(w, i) in weed"
      :key="`w${i}`"
      :d="w"
      fill="none"
      stroke="var(--bed2)"
      stroke-width="3"
      stroke-linecap="round"
    />
    <path v-if="wood" :d="wood" fill="none" stroke="var(--bed2)" stroke-width="9" stroke-linecap="round" />
    <path :d="edge" fill="var(--bed)" />
    <path
      v-for="(s, i) in stones"
      :key="i"
      :d="s"
      fill="var(--bed2)"
      stroke="var(--hair)"
      stroke-width=".8"
      stroke-linejoin="round"
    />
    <path v-if="ripples" :d="ripples" fill="none" stroke="var(--hair)" stroke-width=".8" />
  </svg>
  <div v-if="pick" class="absolute left-3 z-10" :style="{ top: `${c.height.value - 52}px` }">
    <Choice
      class="w-33"
      label="What is behind the lure"
      :value="store.reading.background"
      :options="BACKGROUND_OPTIONS"
      up
      dark
      @change="v => store.set({ background: v })"
    />
  </div>
</template>
