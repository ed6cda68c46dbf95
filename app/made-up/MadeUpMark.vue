<script setup lang="ts">
import { useRecordsStore } from '~/records/store'

/** What is looked through is made up: said in every bar, and taken away in one tap. */
const records = useRecordsStore()
</script>

<template>
  <p v-if="records.isMadeUp" class="flex items-center text-note" role="status">
    <span class="border border-dashed border-ink px-2 py-1 font-semibold">Made up</span>
    <button type="button" class="figure min-h-11 px-2 font-semibold underline" @click="records.takeMadeUpAway()">
      Take it away
    </button>
  </p>
</template>
