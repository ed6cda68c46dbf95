<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed } from 'vue'
import { useLogStore } from './store'
import type { Tap } from './trip'
import { useTapWords } from './useTapWords'
import LandedFish from './LandedFish.vue'

/** Taps of a trip, the newest first, each to be moved in time or taken out, a landed fish to be told of. */
const props = defineProps<{ taps: readonly Tap[] }>()
const log = useLogStore()
const words = useTapWords()
/** As many are listed; a long trip has thousands. */
const LISTED = 200
const listed = computed(() => props.taps.slice(-LISTED).reverse())
const clock = (t: Tap) => DateTime.fromISO(t.body.at).toFormat('HH:mm')
function move(t: Tap, text: string) {
  const [hour, minute] = text.split(':').map(Number)
  const at = DateTime.fromISO(t.body.at).set({ hour, minute })
  if (at.isValid) void log.mend(t, { at: at.toUTC().toISO()! })
}
</script>

<template>
  <ul>
    <li v-for="t in listed" :key="t.id" class="border-t border-hair">
      <div class="flex items-center gap-2">
        <input
          type="time"
          class="h-11 border border-hair px-1"
          :value="clock(t)"
          :aria-label="`Time of ${words(t)}`"
          @change="move(t, ($event.target as HTMLInputElement).value)"
        />
        <span class="min-w-0 flex-1 leading-tight">{{ words(t) }}</span>
        <button
          type="button"
          class="min-h-11 px-2 underline"
          :aria-label="`Take ${words(t)} at ${clock(t)} out`"
          @click="log.takeOut(t.id)"
        >
          Take out
        </button>
      </div>
      <LandedFish v-if="t.body.what === 'landed'" :tap="t" class="pb-2" />
    </li>
    <li v-if="taps.length > LISTED" class="border-t border-hair py-2 text-note">
      and {{ taps.length - LISTED }} earlier ones
    </li>
  </ul>
</template>
