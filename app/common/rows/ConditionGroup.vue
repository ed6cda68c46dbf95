<script setup lang="ts">
/** A group of the back plate, under its engraved name. */
defineProps<{ name: string }>()
</script>

<template>
  <section class="mb-3 break-inside-avoid bg-page px-3 pb-1">
    <h3 class="wide border-b-2 border-ink pt-2 pb-1 text-small font-bold tracking-wide uppercase">{{ name }}</h3>
    <slot />
  </section>
</template>
