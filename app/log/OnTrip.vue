<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { computed } from 'vue'
import { useRestOfDay } from './useRestOfDay'
import NextChange from './NextChange.vue'
import RestOfDay from './RestOfDay.vue'
import TodayColumn from './TodayColumn.vue'
import TodayPicture from './TodayPicture.vue'
import TripNow from './TripNow.vue'

/** The trip under way; on a desk beside its targets the water now, the next change, and what bit under which light. */
defineProps<{ phone: boolean }>()
const now = useNow({ interval: 10_000 })
const nowMs = computed(() => now.value.getTime())
const rest = useRestOfDay()
</script>

<template>
  <div
    :class="phone ? '' : 'grid grid-cols-[minmax(0,390px)_minmax(0,1fr)] xl:grid-cols-[minmax(0,440px)_minmax(0,1fr)]'"
  >
    <TripNow :phone="phone" :rest="rest" :class="phone ? '' : 'border-r-2 border-ink'" />
    <div v-if="!phone" class="min-w-0">
      <div class="flex border-b-2 border-ink">
        <TodayColumn :now-ms="nowMs" :rest="rest" />
        <div class="flex min-w-0 flex-1 flex-col justify-between">
          <NextChange :now-ms="nowMs" :rest="rest" />
          <RestOfDay :rest="rest" />
        </div>
      </div>
      <TodayPicture :now-ms="nowMs" :rest="rest" />
    </div>
  </div>
</template>
