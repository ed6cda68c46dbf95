<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { provideColumn } from './useColumn'
import { useAnswers } from '~/water/useScreen'
import { useUnits } from '~/settings/useUnits'
import { useReadingStore } from '~/reading/store'
import { usualTemperatureC } from '#core/season/usual'
import { LIMITS } from '#shared/vocabulary'
import { localTime } from '~/reading/clock'
import NumberField from '~/common/NumberField.vue'
import BedBand from './BedBand.vue'
import BedHandle from './BedHandle.vue'
import CoverBand from './CoverBand.vue'
import CloudBank from './CloudBank.vue'
import DepthRuler from './DepthRuler.vue'
import DiscHandle from './DiscHandle.vue'
import FishHandle from './FishHandle.vue'
import ForageSketch from './ForageSketch.vue'
import LureHandle from './LureHandle.vue'
import SeasonStrip from './SeasonStrip.vue'
import SkyBand from './SkyBand.vue'
import TintJars from './TintJars.vue'
import WaterBody from './WaterBody.vue'
import WaterSurface from './WaterSurface.vue'

/** The form that is a picture: sky, surface, water and floor, every reading set where it really is. */
defineProps<{ phone: boolean }>()
const reachM = defineModel<number>('reachM', { required: true })
const held = defineModel<boolean>('held', { required: true })
defineEmits<{ food: [] }>()

const store = useReadingStore()
const { temperature } = useUnits()
/** A temperature nobody measured is judged by place and month, and shown as that. */
const guessed = computed(() => store.reading.temperatureC === null)
const usualC = computed(() => {
  const { timeMs, zone, latitude } = store.reading
  return usualTemperatureC(localTime(timeMs, zone).ordinal, latitude)
})
const box = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(box)
const c = provideColumn(width, height, reachM, held, useAnswers())
</script>

<template>
  <section class="region flex min-h-0 flex-col" aria-label="The water">
    <div ref="box" class="relative min-h-0 flex-1 overflow-hidden bg-sky">
      <template v-if="width">
        <WaterBody />
        <SkyBand />
        <CloudBank />
        <WaterSurface />
        <CoverBand />
        <BedBand :pick="!phone" />
        <DepthRuler />
        <FishHandle />
        <LureHandle />
        <DiscHandle />
        <BedHandle />
        <div
          v-if="!phone"
          class="pointer-events-none absolute right-1 flex flex-col items-end gap-2 *:pointer-events-auto"
          :style="{ top: `${c.asideY.value}px` }"
        >
          <TintJars />
          <ForageSketch @open="$emit('food')" />
        </div>
        <div class="absolute left-4" :style="{ top: c.skyH.value > 95 ? '44px' : '24px' }">
          <NumberField
            :label="guessed ? 'Water temperature, guessed' : 'Water temperature'"
            :value="store.reading.temperatureC ?? usualC"
            :scale="temperature"
            :min="LIMITS.temperatureC[0]"
            :max="LIMITS.temperatureC[1]"
            tag
            @change="t => store.set({ temperatureC: t })"
          >
            <template #default="{ shown }">
              <span class="text-value">{{ guessed ? 'about ' : '' }}{{ shown }} {{ temperature.unit }}</span>
              <span class="ml-1 text-note font-medium" :class="guessed ? 'underline' : ''">
                {{ guessed ? 'a guess' : 'water' }}
              </span>
            </template>
          </NumberField>
        </div>
      </template>
    </div>
    <SeasonStrip v-if="!phone" />
  </section>
</template>
