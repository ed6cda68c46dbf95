<script setup lang="ts">
import type { NuxtError } from '#app'
import { computed } from 'vue'

/** Piscator could not be opened here: which of the two it is, and how to go on. */
const props = defineProps<{ error: NuxtError }>()
const unknown = computed(() => props.error.status === 404)
const again = () => location.reload()
</script>

<template>
  <main class="grid min-h-dvh place-content-center gap-4 bg-page p-6 text-ink">
    <h1 class="wide text-title font-extrabold">Piscator</h1>
    <p v-if="unknown" class="max-w-prose">There is nothing at this address.</p>
    <p v-else class="max-w-prose">
      <b>This place cannot be opened just now.</b>
      Part of Piscator is not on this device yet, and the server does not answer. What you have kept here is safe.
    </p>
    <p class="flex flex-wrap gap-2">
      <button v-if="!unknown" type="button" class="action" @click="again">Try again</button>
      <a class="quiet flex items-center" href="/">Open Water</a>
    </p>
  </main>
</template>
