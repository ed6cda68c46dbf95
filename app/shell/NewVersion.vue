<script setup lang="ts">
import { useNuxtApp } from '#app'
import { computed } from 'vue'

/** A newer version is ready: it is taken when the angler says so, or once the last page of this one is closed. */
const { $pwa } = useNuxtApp()
const ready = computed(() => !!$pwa?.needRefresh)
</script>

<template>
  <div
    v-if="ready"
    role="status"
    class="fixed right-2 bottom-34 z-50 w-72 border-2 border-ink bg-page p-3 leading-snug text-ink sm:bottom-2"
  >
    <p>A newer Piscator is ready. Nothing that is open or not yet sent is lost by taking it.</p>
    <p class="mt-2 flex gap-2">
      <button type="button" class="quiet" @click="$pwa!.updateServiceWorker(true)">Take it now</button>
      <button type="button" class="quiet" @click="$pwa!.cancelPrompt()">Later</button>
    </p>
  </div>
</template>
