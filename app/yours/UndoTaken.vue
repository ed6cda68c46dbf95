<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useYoursStore } from './store'

/** Everything was taken away: for as long as it can be, it can be brought back. */
const yours = useYoursStore()
const nowMs = ref(Date.now())
useIntervalFn(() => (nowMs.value = Date.now()), 1000)
const left = computed(() => Math.max(0, Date.parse(yours.takenAway!.until) - nowMs.value))
const clock = computed(() => {
  const s = Math.ceil(left.value / 1000)
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`
})
const words = ref('')
async function bringBack() {
  const done = await yours.bringBack()
  if (!done.ok) words.value = done.words
}
</script>

<template>
  <section class="border-b-2 border-ink bg-sunk p-4" aria-label="Taken away">
    <template v-if="left">
      <h2 class="figure text-title font-bold">Everything is taken away</h2>
      <p>It is gone from here and every other device. For {{ clock }} min it can be brought back; then it is erased.</p>
      <p class="mt-2 flex flex-wrap gap-2">
        <button type="button" class="action" :disabled="yours.busy" @click="bringBack">Bring it back</button>
      </p>
    </template>
    <template v-else>
      <h2 class="figure text-title font-bold">Everything is erased</h2>
      <p>
        Backups of the server keep it until they are overwritten, within a week where they are made as the handbook
        says.
      </p>
      <button type="button" class="quiet mt-2" @click="yours.takenAway = null">Close</button>
    </template>
    <p v-if="words" role="alert" class="font-semibold">{{ words }}</p>
  </section>
</template>
