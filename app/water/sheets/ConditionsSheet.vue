<script setup lang="ts">
import InstrumentsGroup from '~/instruments/InstrumentsGroup.vue'
import LureAndFish from '~/water/conditions/LureAndFish.vue'
import PlaceAndTime from '~/water/conditions/PlaceAndTime.vue'
import ShownToday from '~/water/conditions/ShownToday.vue'
import TheLight from '~/water/conditions/TheLight.vue'
import TheWater from '~/water/conditions/TheWater.vue'

defineEmits<{ readings: []; waters: [] }>()
/**
 * The back plate of the instrument: every condition as a plain value, with what was assumed and why. The picture is
 * never the only way in.
 */
</script>

<template>
  <div class="-m-4 gap-3 bg-plate p-3 lg:columns-2 2xl:columns-3">
    <PlaceAndTime>
      <button type="button" class="min-h-11 underline underline-offset-4" @click="$emit('waters')">
        Waters and spots of my own
      </button>
    </PlaceAndTime>
    <TheWater @readings="$emit('readings')" />
    <TheLight />
    <InstrumentsGroup />
    <LureAndFish />
    <ShownToday />
  </div>
</template>
