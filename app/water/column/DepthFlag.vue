<script setup lang="ts">
import { useUnits } from '~/settings/useUnits'
import { at, vFollow } from '~/common/follow'
import NumberField from '~/common/NumberField.vue'

/** A white flag on the ruler: a depth that is set, to be read there and typed. */
defineProps<{ label: string; depthM: () => number; limits: readonly [number, number]; y: () => number }>()
defineEmits<{ change: [depthM: number] }>()
const { length } = useUnits()
</script>

<template>
  <!-- Of no size, whatever number it bears: another lays out the flag alone, and no handle beside it is covered. -->
  <div v-follow="() => at(40, y() - 22)" class="floats size-0 contain-layout contain-size">
    <NumberField
      :label="label"
      :value="depthM"
      :scale="length"
      :min="limits[0]"
      :max="limits[1]"
      tag
      @change="m => $emit('change', m)"
    >
      <template #default="{ shown }">
        <span class="flag">{{ shown }}</span>
      </template>
    </NumberField>
  </div>
</template>
