<script setup lang="ts">
import { computed } from 'vue'
import { MOST_READINGS, useDeskStore } from '~/desk/store'
import { useInstrumentsStore } from './store'
import { useUnits } from '~/settings/useUnits'

/** Readings that instruments have to hand: the light meter's last lowering, the gauge's turbidity. */
const instruments = useInstrumentsStore()
const desk = useDeskStore()
const { lengthText } = useUnits()
instruments.look()
const cast = computed(() => instruments.board?.cast ?? null)
const fnu = computed(() => (instruments.standing('gaugeFnu') === 'fresh' ? instruments.board!.told.gaugeFnu! : null))
const room = computed(() => desk.readings.length < MOST_READINGS)
</script>

<template>
  <p v-if="cast || fnu" class="mt-3 flex flex-wrap items-center gap-2">
    <span>{{ instruments.board?.simulated ? 'Simulated instruments:' : 'Instruments:' }}</span>
    <button
      v-if="cast"
      type="button"
      class="quiet disabled:opacity-60"
      :disabled="!room"
      @click="desk.add('light', { kind: 'light', samples: cast.samples })"
    >
      + Light meter, {{ cast.samples.length }} samples to {{ lengthText(cast.samples.at(-1)!.depthM) }}
    </button>
    <button
      v-if="fnu"
      type="button"
      class="quiet disabled:opacity-60"
      :disabled="!room"
      @click="desk.add('turbidity', { kind: 'turbidity', fnu: Number(fnu.value.toFixed(1)) })"
    >
      + Gauge, {{ fnu.value.toFixed(1) }} FNU
    </button>
  </p>
</template>
