<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { ref } from 'vue'
import { provideColumn } from './useColumn'
import { useAnswers } from '~/screen/useScreen'
import { useUnits } from '~/settings/useUnits'
import { useReadingStore } from '~/reading/store'
import { LIMITS } from '#shared/vocabulary'
import NumberField from '~/components/common/NumberField.vue'
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
            v-if="store.reading.temperatureC !== null"
            label="Water temperature"
            :value="store.reading.temperatureC"
            :scale="temperature"
            :min="LIMITS.temperatureC[0]"
            :max="LIMITS.temperatureC[1]"
            tag
            @change="t => store.set({ temperatureC: t })"
          >
            <template #default="{ shown }">
              <span class="text-value">{{ shown }} {{ temperature.unit }}</span>
              <span class="ml-1 text-note font-medium">water</span>
            </template>
          </NumberField>
          <button
            v-else
            type="button"
            class="figure min-h-11 text-note font-semibold underline"
            @click="store.set({ temperatureC: 15 })"
          >
            Add water temperature
          </button>
        </div>
      </template>
    </div>
    <SeasonStrip v-if="!phone" />
  </section>
</template>
