<script setup lang="ts">
import { computed } from 'vue'
import { localTime } from '~/reading/clock'
import { useReadingStore } from '~/reading/store'
import { useWatersStore } from '~/waters/store'

/** Which water and which day, one step back or forward at a time; the words open the full form. */
defineProps<{ always?: boolean }>()
defineEmits<{ change: [] }>()
const store = useReadingStore()
const waters = useWatersStore()
const local = computed(() => localTime(store.reading.timeMs, store.reading.zone))
const where = computed(() => {
  const { latitude } = store.reading
  return waters.current?.name ?? `${Math.abs(latitude).toFixed(1)}° ${latitude < 0 ? 'S' : 'N'}`
})
const step = (days: number) => store.set({ timeMs: local.value.plus({ days }).toMillis() })
</script>

<template>
  <div class="figure flex min-w-0 items-center text-note font-medium" role="group" aria-label="Where and when">
    <button
      type="button"
      class="min-h-11 min-w-0 truncate px-1.5 font-bold"
      :class="always ? '' : 'max-[920px]:hidden'"
      @click="$emit('change')"
    >
      {{ where }}
      <span class="off">. Change place and date</span>
    </button>
    <button type="button" class="min-h-11 min-w-9" aria-label="The day before" @click="step(-1)">‹</button>
    <span class="whitespace-nowrap">
      <span class="max-[1179px]:hidden">{{ local.toFormat('ccc') }}</span>
      {{ local.toFormat('d LLL') }}
    </span>
    <button type="button" class="min-h-11 min-w-9" aria-label="The day after" @click="step(1)">›</button>
  </div>
</template>
