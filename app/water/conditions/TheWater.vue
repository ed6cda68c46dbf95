<script setup lang="ts">
import { computed } from 'vue'
import { useUnits } from '~/settings/useUnits'
import { useReadingStore } from '~/reading/store'
import { LIMITS } from '#shared/vocabulary'
import { AUTO, PRESSURE_OPTIONS, SALINITY_OPTIONS, TIDE_OPTIONS, TINT_OPTIONS, TREND_OPTIONS } from '~/words/options'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'
import ConditionGroup from '~/common/rows/ConditionGroup.vue'
import ConditionRow from '~/common/rows/ConditionRow.vue'

/** What the water is like. */
defineEmits<{ readings: [] }>()
const store = useReadingStore()
const { length, temperature } = useUnits()
const s = computed(() => store.reading)
const trends = [{ value: AUTO, words: 'Not known' }, ...TREND_OPTIONS]
const tides = [{ value: AUTO, words: 'Not known' }, ...TIDE_OPTIONS]
</script>

<template>
  <ConditionGroup name="Water">
    <ConditionRow label="Disc vanishes at">
      <NumberField
        label="Visibility"
        :value="s.visibilityM"
        :scale="length"
        :min="LIMITS.visibilityM[0]"
        :max="LIMITS.visibilityM[1]"
        @change="v => store.set({ visibilityM: v })"
      />
    </ConditionRow>
    <ConditionRow label="Tint">
      <Choice label="Tint" :value="s.tint" :options="TINT_OPTIONS" @change="v => store.set({ tint: v })" />
    </ConditionRow>
    <button type="button" class="min-h-11 underline underline-offset-4" @click="$emit('readings')">
      Not sure? Weigh a disc, lures, a jar or a meter
    </button>
    <ConditionRow label="Surface temperature" path="water.temperatureC">
      <NumberField
        v-if="s.temperatureC !== null"
        label="Water temperature"
        :value="s.temperatureC"
        :scale="temperature"
        :min="LIMITS.temperatureC[0]"
        :max="LIMITS.temperatureC[1]"
        @change="v => store.set({ temperatureC: v })"
      />
      <button v-else type="button" class="quiet" @click="store.set({ temperatureC: 15 })">Add a reading</button>
    </ConditionRow>
    <ConditionRow label="Last days">
      <Choice
        label="Temperature trend"
        :value="s.trend ?? AUTO"
        :options="trends"
        @change="v => store.set({ trend: v === AUTO ? null : v })"
      />
    </ConditionRow>
    <ConditionRow label="Salinity" path="water.salinity">
      <Choice
        label="Salinity"
        :value="s.salinity"
        :options="SALINITY_OPTIONS"
        @change="v => store.set({ salinity: v })"
      />
    </ConditionRow>
    <ConditionRow v-if="s.salinity !== 'fresh'" label="Tide">
      <Choice
        label="Tide"
        :value="s.tide ?? AUTO"
        :options="tides"
        @change="v => store.set({ tide: v === AUTO ? null : v })"
      />
    </ConditionRow>
    <ConditionRow label="Pressure" path="water.pressure">
      <Choice
        label="Fishing pressure"
        :value="s.pressure"
        :options="PRESSURE_OPTIONS"
        @change="v => store.set({ pressure: v })"
      />
    </ConditionRow>
  </ConditionGroup>
</template>
