<script setup lang="ts">
import PlaceTabs from './PlaceTabs.vue'

/**
 * What stands while the scripts are on their way: the frame that every place has, in the light that was chosen. It is
 * drawn when the app is built (tools/build/frameAhead.ts), and gone once a place is there.
 */
</script>

<template>
  <div class="frame-ahead fixed inset-0 flex flex-col bg-page text-ink" aria-hidden="true" inert>
    <div class="region flex min-h-11 flex-none items-stretch border-b-2 border-ink text-bar font-semibold">
      <p class="wide flex items-center px-4 text-lead font-extrabold">Piscator</p>
      <PlaceTabs class="held:hidden!" />
    </div>
    <p class="p-4">Reading the water.</p>
    <noscript><p class="px-4">Piscator works answers out in the browser. Let its scripts run here.</p></noscript>
    <PlaceTabs class="mt-auto hidden held:flex" foot />
  </div>
</template>
