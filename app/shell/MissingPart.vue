<script setup lang="ts">
import { useRouter } from 'vue-router'
import { missingPart } from './missingPart'

/** A place that could not be opened, since its part is not on this device and cannot be fetched. */
const router = useRouter()
const again = () => void router.push(missingPart.value!).catch(() => {})
</script>

<template>
  <div v-if="missingPart" role="alert" class="banner fixed right-2 bottom-34 z-50 w-72 p-3 sm:bottom-2">
    <p>
      <b>That place cannot be opened just now.</b>
      Its part of Piscator is not on this device yet, and the server does not answer. What you have here goes on.
    </p>
    <p class="mt-2 flex gap-2">
      <button type="button" class="quiet" @click="again">Try again</button>
      <button type="button" class="quiet" @click="missingPart = null">Stay here</button>
    </p>
  </div>
</template>
