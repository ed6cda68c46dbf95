<script setup lang="ts">
import { computed } from 'vue'
import { useCallsStore } from '../stores/calls'

/** Plain words when something is away; nothing at all when all is well. */
defineProps<{ slow: boolean }>()
defineEmits<{ cancel: [] }>()
const calls = useCallsStore()
const words = computed(() => {
  const n = calls.waiting.filter(w => w.kind === 'keep').length
  const waits = n ? ` ${n === 1 ? 'One call waits' : `${n} calls wait`} on this device and will be sent.` : ' Calls you keep stay on this device until then.'
  switch (calls.health) {
    case 'database-away': return `Your records cannot be reached just now. The ranking goes on: it is worked out here, in the browser.${waits}`
    case 'server-away': return `Piscator's server does not answer. The ranking goes on: it is worked out here, in the browser.${waits}`
    default: return calls.refused ? `The server would not keep “${calls.refused}”: its finish or water is no longer known. Choose again and keep it once more.` : null
  }
})
</script>

<template>
  <p v-if="words" role="status" class="border-b-2 border-ink bg-sunk px-3 py-2 font-semibold">{{ words }}</p>
  <p v-else-if="slow" role="status" class="flex items-center gap-3 border-b border-hair px-3 text-ink2">Working it out …<progress class="h-2 min-w-0 flex-1 accent-[var(--ink)]" aria-label="Working it out" /><button type="button" class="min-h-11 font-semibold text-ink underline" @click="$emit('cancel')">Stop</button></p>
</template>
