<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed } from 'vue'
import { CLUES } from '#core/prey/odds'
import { finishById } from '#core/lure/finish'
import { useLogStore } from '~/log/store'
import type { Tap } from '~/log/trip'
import { cap } from '~/words/options'

/** Taps of a trip, the newest first, each to be moved in time or taken out. */
const props = defineProps<{ taps: readonly Tap[] }>()
const log = useLogStore()
/** As many are listed; a long trip has thousands. */
const LISTED = 200
const listed = computed(() => props.taps.toReversed().slice(0, LISTED))
const words = ({ body: t }: Tap) => {
  if (t.clue) return cap(CLUES[t.clue].words)
  if (t.text) return t.text
  if (t.rig) return `Rod ${t.rod + 1}: ${finishById(t.rig.finishId)?.name ?? t.rig.finishId}`
  return t.what === 'rod' ? `To rod ${t.rod + 1}` : `${cap(t.what)}, rod ${t.rod + 1}`
}
const clock = (t: Tap) => DateTime.fromISO(t.body.at).toFormat('HH:mm')
function move(t: Tap, text: string) {
  const [hour, minute] = text.split(':').map(Number)
  const at = DateTime.fromISO(t.body.at).set({ hour, minute })
  if (at.isValid) void log.mend(t, { at: at.toUTC().toISO()! })
}
</script>

<template>
  <ul>
    <li v-for="t in listed" :key="t.id" class="flex items-center gap-2 border-t border-hair">
      <input
        type="time"
        class="h-11 border border-hair px-1"
        :value="clock(t)"
        :aria-label="`Time of ${words(t)}`"
        @change="move(t, ($event.target as HTMLInputElement).value)"
      />
      <span class="min-w-0 flex-1 truncate">{{ words(t) }}</span>
      <button
        type="button"
        class="min-h-11 px-2 underline"
        :aria-label="`Take ${words(t)} at ${clock(t)} out`"
        @click="log.takeOut(t.id)"
      >
        Take out
      </button>
    </li>
    <li v-if="taps.length > LISTED" class="border-t border-hair py-2 text-note">
      and {{ taps.length - LISTED }} earlier ones
    </li>
  </ul>
</template>
