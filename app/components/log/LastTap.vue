<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed } from 'vue'
import { useLogStore } from '~/log/store'
import { useTapWords } from '~/log/useTapWords'
import { useRecordsStore } from '~/records/store'
import LandedFish from './LandedFish.vue'

/** What was tapped last, to be taken back; a landed fish can be told of more closely, now or later. */
const log = useLogStore()
const records = useRecordsStore()
const tapWords = useTapWords()
const last = computed(() => log.taps.at(-1) ?? null)
const words = computed(() => {
  if (!last.value) return 'Nothing tapped yet.'
  return `${tapWords(last.value)}, ${DateTime.fromISO(last.value.body.at).toFormat('HH:mm')}`
})
</script>

<template>
  <div>
    <div class="flex items-stretch border-b border-hair">
      <p class="flex min-h-13 flex-1 items-center px-4" role="status">{{ words }}</p>
      <button
        type="button"
        class="figure min-w-24 border-l border-ink px-4 text-value font-bold disabled:opacity-60"
        :disabled="!last"
        @click="log.undo()"
      >
        Undo
      </button>
    </div>
    <LandedFish v-if="last?.body.what === 'landed'" :tap="last" class="border-b border-hair px-4 py-2" />
    <!-- Its line is kept, so that nothing under a thumb moves as taps are sent. -->
    <p class="min-h-8 border-b border-hair px-4 py-1 text-note">
      {{ records.words || 'Every tap is on this device and sent.' }}
    </p>
  </div>
</template>
