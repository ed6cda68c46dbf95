<script setup lang="ts">
/** An answer that is long in coming, and a way to stop it: it lies over what it stands on, and so moves nothing. */
defineEmits<{ cancel: [] }>()
</script>

<template>
  <p
    role="status"
    class="absolute inset-x-0 z-20 flex min-h-11.5 items-center gap-3 border-b border-ink bg-page px-3 text-ink2"
  >
    Working it out …
    <progress class="h-2 min-w-0 flex-1 accent-ink" aria-label="Working it out" />
    <button type="button" class="min-h-11 font-semibold text-ink underline" @click="$emit('cancel')">Stop</button>
  </p>
</template>
