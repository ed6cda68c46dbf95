<script setup lang="ts">
import { computed } from 'vue'
import { plainScale } from '~/settings/plainScale'
import { useReadingStore } from '~/reading/store'
import { CANOPY_OPTIONS, WIND_OPTIONS } from '~/words/options'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'
import ConditionGroup from '~/common/rows/ConditionGroup.vue'
import ConditionRow from '~/common/rows/ConditionRow.vue'

/** What light falls on it. */
const store = useReadingStore()
const s = computed(() => store.reading)
const percent = plainScale('%', 0, 100)
</script>

<template>
  <ConditionGroup name="Light">
    <ConditionRow label="Cloud">
      <NumberField
        label="Cloud cover"
        :value="s.cloud"
        :scale="percent"
        :min="0"
        :max="1"
        @change="v => store.set({ cloud: v })"
      />
    </ConditionRow>
    <ConditionRow label="Rain">
      <input
        type="checkbox"
        aria-label="Rain"
        class="size-6 accent-ink"
        :checked="s.rain"
        @change="store.set({ rain: !s.rain })"
      />
    </ConditionRow>
    <ConditionRow label="Wind" path="light.wind">
      <Choice label="Wind on the water" :value="s.wind" :options="WIND_OPTIONS" @change="v => store.set({ wind: v })" />
    </ConditionRow>
    <ConditionRow label="Over the lure" path="light.canopy">
      <Choice label="Canopy" :value="s.canopy" :options="CANOPY_OPTIONS" @change="v => store.set({ canopy: v })" />
    </ConditionRow>
    <ConditionRow label="Lamps near by" path="light.lamps">
      <input
        type="checkbox"
        aria-label="Lamps near by"
        class="size-6 accent-ink"
        :checked="s.lamps"
        @change="store.set({ lamps: !s.lamps })"
      />
    </ConditionRow>
  </ConditionGroup>
</template>
