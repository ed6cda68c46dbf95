<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import PlaceAndTime from '~/water/conditions/PlaceAndTime.vue'

/** Where and when, with every water beneath it: what the places beside Water show for both. */
defineEmits<{ close: [] }>()
// Files and forms of the waters come when they are wanted.
const WatersSheet = defineAsyncComponent(() => import('~/waters/list/WatersSheet.vue'))
</script>

<template>
  <div>
    <PlaceAndTime />
    <WatersSheet @close="$emit('close')" />
  </div>
</template>
