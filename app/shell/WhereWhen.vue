<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { computed } from 'vue'
import { MINUTE_MS } from '#core/units'
import { localTime } from '~/reading/clock'
import { useReadingStore } from '~/reading/store'
import { usePlace } from '~/reading/usePlace'
import { nowMinute } from '~/reading/useReadingLink'
import { useWatersStore } from '~/waters/store'

/**
 * Which water and which day, one step back or forward at a time; the words open the full form. Where it is another time
 * than now, now is one tap away; where the place is a guess, so is here.
 */
defineProps<{ always?: boolean }>()
defineEmits<{ change: [] }>()
const store = useReadingStore()
const waters = useWatersStore()
const { here, asking, refused } = usePlace()
const now = useNow({ interval: MINUTE_MS })
const local = computed(() => localTime(store.reading.timeMs, store.reading.zone))
const where = computed(() => {
  const { latitude, placeGuessed } = store.reading
  const degrees = `${Math.abs(latitude).toFixed(placeGuessed ? 0 : 1)}° ${latitude < 0 ? 'S' : 'N'}`
  return waters.current?.name ?? (placeGuessed ? `About ${degrees}` : degrees)
})
/** Within so long it is now, ms. */
const NOW_MS = 30 * MINUTE_MS
const isNow = computed(() => Math.abs(store.reading.timeMs - now.value.getTime()) < NOW_MS)
const isToday = computed(() => local.value.hasSame(localTime(now.value.getTime(), store.reading.zone), 'day'))
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
      <span class="off">{{ store.reading.placeGuessed ? ', guessed by your clock' : '' }}. Change place and date</span>
    </button>
    <button
      v-if="store.reading.placeGuessed"
      type="button"
      class="min-h-11 px-1.5 underline"
      :disabled="asking"
      @click="here"
    >
      {{ asking ? 'Asking …' : refused ? 'Not told' : 'Here' }}
      <span class="off">: go to where this device is</span>
    </button>
    <button type="button" class="min-h-11 min-w-9" aria-label="The day before" @click="step(-1)">‹</button>
    <span class="whitespace-nowrap">
      <span class="max-[1179px]:hidden">{{ isToday ? 'Today,' : local.toFormat('ccc') }}</span>
      {{ local.toFormat('d LLL') }}
    </span>
    <button type="button" class="min-h-11 min-w-9" aria-label="The day after" @click="step(1)">›</button>
    <button
      v-if="!isNow"
      type="button"
      class="min-h-11 px-1.5 underline"
      :title="isToday ? 'Planned for another hour' : 'Planned for another day'"
      @click="store.set({ timeMs: nowMinute() })"
    >
      Now
      <span class="off">: it is planned for another {{ isToday ? 'hour' : 'day' }}</span>
    </button>
  </div>
</template>
