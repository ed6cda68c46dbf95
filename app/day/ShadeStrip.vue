<script setup lang="ts">
import { computed } from 'vue'
import { useDayScale } from './useDayScale'
import { useDayStore } from './store'
import { useUnits } from '~/settings/useUnits'

/** The water from bank to bank through the day, and how far the shade of each bank reaches out over it. */
const props = defineProps<{ height: number }>()
const emit = defineEmits<{ edit: [] }>()
const day = useDayStore()
const { light, xOf, width, namesPx, cursorMin } = useDayScale()
const { lengthText } = useUnits()
const across = computed(() => day.set.bank?.acrossM ?? 1)
const steps = computed(() => light.value?.steps ?? [])
const mid = (s: { atMin: number; endMin: number }) => xOf((s.atMin + s.endMin) / 2)
const px = (m: number | null) => ((m ?? 0) / across.value) * props.height
/** The near bank lies below, the other above. */
const near = computed(() => {
  const points = steps.value.map(s => `L${mid(s).toFixed(1)} ${(props.height - px(s.shadeM)).toFixed(1)}`)
  return `M0 ${props.height}${points.join('')}L${width.value} ${props.height}Z`
})
const far = computed(() => {
  const points = steps.value.map(s => `L${mid(s).toFixed(1)} ${px(s.acrossShadeM).toFixed(1)}`)
  return `M0 0${points.join('')}L${width.value} 0Z`
})
const now = computed(() => steps.value.find(s => s.endMin > cursorMin.value) ?? steps.value.at(-1))
/** Less shade than this is none, m. */
const NONE_M = 0.05
const shadeText = computed(() => {
  const m = now.value?.shadeM ?? 0
  return m < NONE_M ? 'none' : lengthText(m)
})
const COMPASS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west']
/** A bank is called by the side of the water it stands on: away from where it looks. */
const sideOf = (deg: number) => COMPASS[Math.round((((deg % 360) + 360) % 360) / 45) % 8]!
const nearName = computed(() => sideOf((day.set.bank?.facingDeg ?? 0) + 180))
const farName = computed(() => sideOf(day.set.bank?.facingDeg ?? 0))
</script>

<template>
  <div class="flex border-t-2 border-ink">
    <button
      type="button"
      class="figure flex shrink-0 flex-col justify-between px-2 py-0.5 text-right text-note leading-none text-ink2"
      :style="{ width: `${namesPx}px` }"
      aria-label="Change the banks"
      @click="emit('edit')"
    >
      <span>{{ farName }}</span>
      <span>
        shade
        <b class="text-bar text-ink">{{ shadeText }}</b>
      </span>
      <span>{{ nearName }}</span>
    </button>
    <div
      class="relative bg-sky2"
      role="img"
      :aria-label="`Shade of the ${nearName} bank now: ${shadeText}, of ${lengthText(across)}`"
    >
      <svg :width="width" :height="height" class="block" aria-hidden="true">
        <defs>
          <pattern id="shade" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="6" height="6" fill="var(--plate)" />
            <path d="M0 0V6" stroke="var(--ink)" stroke-width="1.2" />
          </pattern>
        </defs>
        <path :d="far" fill="url(#shade)" stroke="var(--ink)" stroke-width="1.4" />
        <path :d="near" fill="url(#shade)" stroke="var(--ink)" stroke-width="1.4" />
      </svg>
      <span class="absolute top-0 h-full w-px bg-ink" :style="{ left: `${xOf(cursorMin)}px` }" />
    </div>
  </div>
</template>
