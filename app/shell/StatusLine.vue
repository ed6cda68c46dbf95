<script setup lang="ts">
import { computed } from 'vue'
import { useRecordsStore } from '~/records/store'

/** Plain words when something is away; nothing at all when all is well. */
const props = defineProps<{ failed: boolean }>()
const records = useRecordsStore()
const waits = computed(() => {
  const n = records.unsentOf('call').size
  if (!n) return 'Calls you keep stay on this device until then.'
  return n === 1
    ? 'One call waits on this device and will be sent.'
    : `${n} calls wait on this device and will be sent.`
})
const AWAY = {
  'database-away': 'Your records cannot be reached just now.',
  'server-away': "Piscator's server does not answer.",
} as const
/** What is wrong, and what that means: the second in small on a phone, where the list is to stay in sight. */
const words = computed(() => {
  if (props.failed) {
    const rest = 'Part of Piscator is missing. It is tried again by itself.'
    return { wrong: 'The ranking cannot be worked out just now.', rest }
  }
  if (records.signedOut) return { wrong: 'This device is signed out.', rest: records.words }
  const { health } = records
  if (health === 'database-away' || health === 'server-away') {
    return { wrong: AWAY[health], rest: `The ranking goes on: it is worked out here, in the browser. ${waits.value}` }
  }
  return null
})
</script>

<template>
  <p
    v-if="words"
    role="status"
    class="border-b-2 border-ink bg-sunk px-3 py-2 font-semibold max-md:py-1 max-md:leading-tight"
  >
    {{ words.wrong }}
    <span class="max-md:text-note max-md:font-medium">{{ words.rest }}</span>
  </p>
</template>
