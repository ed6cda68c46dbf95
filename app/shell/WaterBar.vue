<script setup lang="ts">
import { useReadingStore } from '~/reading/store'

/** What the water adds to the bar: its sheets, and undo. */
defineProps<{ kept: number }>()
defineEmits<{ conditions: []; kept: []; help: [] }>()
const store = useReadingStore()
</script>

<template>
  <button type="button" @click="$emit('conditions')">Conditions</button>
  <button type="button" @click="$emit('kept')">Kept{{ kept ? ` ${kept}` : '' }}</button>
  <button type="button" class="disabled:opacity-60" :disabled="!store.canUndo" @click="store.undo()">Undo</button>
  <button type="button" class="min-w-11" aria-label="Keys and words" @click="$emit('help')">?</button>
</template>
