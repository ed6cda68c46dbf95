<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed } from 'vue'
import type { TapKind } from '#shared/schema/record'
import { rodNow } from './trip'
import { useLogStore } from './store'
import { useTapWords } from './useTapWords'
import { useRecordsStore } from '~/records/store'
import LandedFish from './LandedFish.vue'

/** What one angler did. */
const OF_ANGLERS: readonly TapKind[] = ['cast', 'bite', 'follow', 'miss', 'landed']

/** What was tapped last, to be taken back; a landed fish can be told of more closely, now or later. */
const log = useLogStore()
const records = useRecordsStore()
const tapWords = useTapWords()
const last = computed(() => log.taps.at(-1) ?? null)
/** Who else it may have been: the last tap is given to another by a name. */
const others = computed(() => {
  const crew = log.current?.body.crew ?? []
  if (!last.value || crew.length < 2 || !OF_ANGLERS.includes(last.value.body.what)) return []
  const whose = last.value.body.who ?? 0
  return crew.flatMap((name, who) => (who === whose ? [] : [{ name, who }]))
})
const mine = computed(() => log.current?.body.crew?.[last.value?.body.who ?? 0] ?? '')
const give = (who: number) => log.mend(last.value!, { who, rod: rodNow(log.taps.slice(0, -1), who) })
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
        v-if="others.length === 1"
        type="button"
        class="figure border-l border-ink px-4 text-value font-bold"
        :aria-label="`Not ${mine}: it was ${others[0]!.name}`"
        @click="give(others[0]!.who)"
      >
        Not {{ mine }}
      </button>
      <button
        type="button"
        class="figure min-w-24 border-l border-ink px-4 text-value font-bold disabled:opacity-60"
        :disabled="!last"
        @click="log.undo()"
      >
        Undo
      </button>
    </div>
    <p v-if="others.length > 1" class="flex items-stretch border-b border-hair">
      <span class="flex items-center border-r border-ink px-4">It was</span>
      <button
        v-for="o in others"
        :key="o.who"
        type="button"
        class="figure min-h-11 flex-1 border-ink px-3 font-semibold not-last:border-r"
        :aria-label="`Not ${mine}: it was ${o.name}`"
        @click="give(o.who)"
      >
        {{ o.name }}
      </button>
    </p>
    <LandedFish v-if="last?.body.what === 'landed'" :tap="last" class="border-b border-hair px-4 py-2" />
    <!-- Its line is kept, so that nothing under a thumb moves as taps are sent. -->
    <p class="min-h-8 border-b border-hair px-4 py-1 text-note">
      {{ records.words || 'Every tap is on this device and sent.' }}
    </p>
  </div>
</template>
