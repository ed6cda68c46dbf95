<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRecordsStore } from '~/records/store'

/** Where nothing is kept yet: a made-up angler's box, plans and season to look through. */
const records = useRecordsStore()
/** Nothing else takes the place of what is happening now. */
const underWay = computed(() => records.list('trip').some(t => !t.body.endedAt))
const failed = ref(false)
const look = () => records.lookThrough().catch(() => (failed.value = true))
</script>

<template>
  <p v-if="!records.isMadeUp && !underWay" class="flex flex-wrap items-center gap-3">
    <button type="button" class="quiet" @click="look">Look through a made-up angler’s things</button>
    <span class="min-w-56 flex-1 text-ink2">
      A box, three kept plans, 24 trips and a fair test. Marked as made up, never sent or counted; one tap takes it all
      away.
    </span>
    <span v-if="failed" role="alert">It could not be fetched just now. Try again with a signal.</span>
  </p>
</template>
