<script setup lang="ts">
/** What the bench adds to the bar. */
defineEmits<{ change: [] }>()
</script>

<template>
  <button type="button" @click="$emit('change')">What hangs</button>
</template>
