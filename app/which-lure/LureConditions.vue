<script setup lang="ts">
import { computed } from 'vue'
import { LIMITS } from '#shared/vocabulary'
import { topOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { useUnits } from '~/settings/useUnits'
import { AUTO, COVER_OPTIONS, DENSITY_OPTIONS, WIND_OPTIONS } from '~/words/options'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'

/** What the lures are judged in, each word of it a control. */
defineProps<{ phase: string }>()
defineEmits<{ conditions: [] }>()
const store = useReadingStore()
const { length, temperatureText } = useUnits()
const s = computed(() => store.reading)
const covers = [{ value: AUTO, words: 'What is down there?' }, ...COVER_OPTIONS]
const stands = computed(() => s.value.cover !== null && s.value.cover !== 'open')
const topM = computed(() => topOf(s.value))
const wind = computed(() => WIND_OPTIONS.find(o => o.value === s.value.wind)!.words.toLowerCase())
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-ink px-4 py-1">
    <Choice
      label="Cover"
      class="min-w-32"
      :value="s.cover ?? AUTO"
      :options="covers"
      @change="v => store.setCover(v === AUTO ? null : v)"
    />
    <template v-if="stands">
      <Choice
        label="How dense the cover is"
        :value="s.density"
        :options="DENSITY_OPTIONS"
        @change="v => store.set({ density: v })"
      />
      <span v-if="topM !== null" class="flex items-center gap-1">
        to
        <NumberField
          label="Top of the cover"
          :value="topM"
          :scale="length"
          :min="0"
          :max="LIMITS.depthM[1]"
          @change="m => store.set({ topM: m })"
        />
        down
      </span>
    </template>
    <span class="flex items-center gap-1">
      <template v-if="s.waterM !== null">
        <NumberField
          label="Depth of the water"
          :value="s.waterM"
          :scale="length"
          :min="LIMITS.waterDepthM[0]"
          :max="LIMITS.waterDepthM[1]"
          @change="m => store.set({ waterM: m })"
        />
        of water
      </template>
      <button v-else type="button" class="quiet" @click="store.set({ waterM: 2 })">Say how deep it is</button>
    </span>
    <button type="button" class="min-h-11 underline underline-offset-4" @click="$emit('conditions')">
      {{ s.temperatureC === null ? 'temperature not known' : temperatureText(s.temperatureC) }}, {{ phase }}, {{ wind }}
    </button>
  </div>
</template>
