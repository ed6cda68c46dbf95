<script setup lang="ts">
import { computed } from 'vue'
import { useUnits } from '~/settings/useUnits'
import { topOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { LIMITS } from '#shared/vocabulary'
import { BACKGROUND_OPTIONS, FACING_OPTIONS, SCHOOL_OPTIONS, SPECIES_OPTIONS } from '~/words/options'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'
import CoverRows from '~/common/rows/CoverRows.vue'
import ConditionGroup from '~/common/rows/ConditionGroup.vue'
import ConditionRow from '~/common/rows/ConditionRow.vue'

/** The lure, the fish, and what lies about them. */
const store = useReadingStore()
const { length } = useUnits()
const s = computed(() => store.reading)
const usualTopM = computed(() => topOf({ ...s.value, topM: null }))
const sides = [
  { value: 'level' as const, words: 'Level' },
  { value: 'below' as const, words: 'From below' },
  { value: 'above' as const, words: 'From above' },
]
</script>

<template>
  <ConditionGroup name="Lure and fish">
    <ConditionRow label="Ranked by">
      <Choice label="School" :value="s.school" :options="SCHOOL_OPTIONS" @change="v => store.set({ school: v })" />
    </ConditionRow>
    <ConditionRow label="Fish" path="species">
      <Choice label="Fish" :value="s.species" :options="SPECIES_OPTIONS" @change="v => store.set({ species: v })" />
    </ConditionRow>
    <ConditionRow label="Running depth" path="depthM">
      <NumberField
        label="Running depth"
        :value="store.depthM"
        :scale="length"
        :min="LIMITS.depthM[0]"
        :max="LIMITS.depthM[1]"
        @change="v => store.set({ depthM: v })"
      />
    </ConditionRow>
    <ConditionRow label="Fish is off by" path="fishM">
      <NumberField
        label="Distance of the fish"
        :value="s.fishM"
        :scale="length"
        :min="LIMITS.fishM[0]"
        :max="LIMITS.fishM[1]"
        @change="v => store.set({ fishM: v })"
      />
    </ConditionRow>
    <ConditionRow label="It looks">
      <Choice label="Side the fish looks from" :value="s.side" :options="sides" @change="v => store.set({ side: v })" />
    </ConditionRow>
    <ConditionRow label="Where the sun is" path="light.facing">
      <Choice
        label="Where the sun is"
        :value="s.facing"
        :options="FACING_OPTIONS"
        @change="v => store.set({ facing: v })"
      />
    </ConditionRow>
    <ConditionRow label="Depth of the water" path="water.depthM">
      <span class="flex items-center gap-2">
        <NumberField
          v-if="s.waterM !== null"
          label="Depth of the water, in figures"
          :value="s.waterM"
          :scale="length"
          :min="LIMITS.waterDepthM[0]"
          :max="LIMITS.waterDepthM[1]"
          @change="v => store.set({ waterM: v })"
        />
        <button
          type="button"
          class="quiet"
          @click="store.set({ waterM: s.waterM === null ? Math.max(1, 1.5 * store.depthM) : null })"
        >
          {{ s.waterM === null ? 'Deep; set it' : 'Deep water' }}
        </button>
      </span>
    </ConditionRow>
    <CoverRows
      :kind="s.cover"
      :density="s.density"
      :top-m="s.topM"
      :usual-top-m="usualTopM"
      @kind="v => store.setCover(v)"
      @density="v => store.set({ density: v })"
      @top="v => store.set({ topM: v })"
    />
    <ConditionRow label="Behind the lure" path="background">
      <Choice
        label="What is behind the lure"
        :value="s.background"
        :options="BACKGROUND_OPTIONS"
        @change="v => store.set({ background: v })"
      />
    </ConditionRow>
    <ConditionRow label="Natural offers were refused">
      <input
        aria-label="Natural offers were refused"
        type="checkbox"
        class="size-6 accent-ink"
        :checked="s.bitesRefused"
        @change="store.set({ bitesRefused: !s.bitesRefused })"
      />
    </ConditionRow>
  </ConditionGroup>
</template>
