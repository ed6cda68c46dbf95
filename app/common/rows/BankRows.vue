<script setup lang="ts">
import type { SpotBank } from '#shared/schema/record'
import { plainScale } from '~/settings/plainScale'
import { useUnits } from '~/settings/useUnits'
import NumberField from '~/common/NumberField.vue'
import ConditionRow from './ConditionRow.vue'

/** How the banks stand that shade the water. */
const props = defineProps<{ bank: SpotBank }>()
const emit = defineEmits<{ change: [bank: SpotBank] }>()
const { length } = useUnits()
const DEGREES = plainScale('°', 0)
const set = (patch: Partial<SpotBank>) => emit('change', { ...props.bank, ...patch })
</script>

<template>
  <div>
    <ConditionRow label="The near bank looks towards">
      <NumberField
        label="Bearing the near bank looks to"
        :value="bank.facingDeg"
        :scale="DEGREES"
        :min="0"
        :max="359"
        @change="v => set({ facingDeg: v })"
      />
    </ConditionRow>
    <ConditionRow label="Bank and trees above the water">
      <NumberField
        label="Height of the near bank and its trees"
        :value="bank.heightM"
        :scale="length"
        :min="0"
        :max="200"
        @change="v => set({ heightM: v })"
      />
    </ConditionRow>
    <ConditionRow label="The same across the water">
      <NumberField
        label="Height of the bank across"
        :value="bank.acrossHeightM"
        :scale="length"
        :min="0"
        :max="200"
        @change="v => set({ acrossHeightM: v })"
      />
    </ConditionRow>
    <ConditionRow label="Width of the water">
      <NumberField
        label="Width of the water"
        :value="bank.acrossM"
        :scale="length"
        :min="0.5"
        :max="5000"
        @change="v => set({ acrossM: v })"
      />
    </ConditionRow>
  </div>
</template>
