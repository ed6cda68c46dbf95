<script setup lang="ts">
import { computed } from 'vue'
import { finishById } from '#core/lure/finish'
import { LURES } from '#core/lure/types'
import { dressOf } from '~/figures/dress'
import LureFigure from '~/figures/LureFigure.vue'

/** A lure in the hand; one that has left the catalogue is its outline. */
const props = defineProps<{ finishId: string; label?: string }>()
const finish = computed(() => finishById(props.finishId))
const lure = computed(() => {
  const id = props.finishId.split('.')[0]!
  return Object.hasOwn(LURES, id) ? (id as keyof typeof LURES) : 'jerkbait'
})
</script>

<template>
  <LureFigure
    :lure="finish?.lure ?? lure"
    :dress="finish ? dressOf(finish) : undefined"
    :mark="finish?.mark ?? null"
    :label="label"
  />
</template>
