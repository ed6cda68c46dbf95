<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useLogStore } from '~/log/store'
import { useRecordsStore } from '~/records/store'
import { useYoursStore } from '~/yours/store'

/** Who of the crew is aboard with a device of their own: each adds to the trip, and it stands in both logs. */
const yours = useYoursStore()
const log = useLogStore()
const records = useRecordsStore()
const words = ref('')
const tripId = computed(() => log.current?.id ?? '')
const people = computed(() =>
  (yours.crew?.people ?? []).map(p => ({
    ...p,
    aboard: yours.crew!.aboard.some(a => a.tripId === tripId.value && a.id === p.id),
  })),
)
onMounted(() => yours.load())
async function turn(id: string, aboard: boolean) {
  // The server must know the trip before anybody is taken aboard it.
  await records.sync()
  const done = aboard ? await yours.putAshore(id, tripId.value) : await yours.takeAboard(id, tripId.value)
  words.value = done.ok ? '' : done.words
}
</script>

<template>
  <div v-if="people.length" class="mt-3 border-t border-hair pt-2">
    <h2 class="font-bold">Aboard with a device of their own</h2>
    <p class="flex flex-wrap gap-2 py-2">
      <button
        v-for="p in people"
        :key="p.id"
        type="button"
        class="quiet"
        :class="p.aboard ? 'chosen' : ''"
        :aria-pressed="p.aboard"
        :disabled="yours.busy"
        @click="turn(p.id, p.aboard)"
      >
        {{ p.name }}
      </button>
    </p>
    <p class="text-ink2">Each taps on their own; every tap is in both logs, and nobody overwrites another’s.</p>
    <p v-if="words" role="status" class="font-semibold">{{ words }}</p>
  </div>
</template>
