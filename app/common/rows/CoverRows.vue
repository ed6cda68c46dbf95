<script setup lang="ts">
import type { Cover } from '#core/cover/cover'
import { LIMITS } from '#shared/vocabulary'
import { useUnits } from '~/settings/useUnits'
import { AUTO, COVER_OPTIONS, DENSITY_OPTIONS } from '~/words/options'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'
import ConditionRow from './ConditionRow.vue'

/** What stands in the water: which cover, how dense, and how far down its top is. */
defineProps<{ kind: Cover['kind'] | null; density: Cover['density']; topM: number | null; usualTopM: number | null }>()
defineEmits<{ kind: [v: Cover['kind'] | null]; density: [v: Cover['density']]; top: [v: number] }>()
const { length } = useUnits()
const options = [{ value: AUTO, words: 'Not known' }, ...COVER_OPTIONS]
</script>

<template>
  <ConditionRow label="Cover">
    <Choice
      label="Cover"
      :value="kind ?? AUTO"
      :options="options"
      @change="v => $emit('kind', v === AUTO ? null : v)"
    />
  </ConditionRow>
  <template v-if="kind && kind !== 'open'">
    <ConditionRow label="How dense">
      <Choice
        label="How dense the cover is"
        :value="density"
        :options="DENSITY_OPTIONS"
        @change="v => $emit('density', v)"
      />
    </ConditionRow>
    <ConditionRow label="Its top is down">
      <NumberField
        label="Top of the cover"
        :value="topM ?? usualTopM ?? 0"
        :scale="length"
        :min="0"
        :max="LIMITS.depthM[1]"
        @change="v => $emit('top', v)"
      />
    </ConditionRow>
  </template>
</template>
