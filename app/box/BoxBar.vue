<script setup lang="ts">
import { useBoxStore } from './store'

/** What the box adds to the bar: its sheets, and undo. */
defineEmits<{ add: []; files: [] }>()
const box = useBoxStore()
</script>

<template>
  <button type="button" @click="$emit('add')">Add a lure</button>
  <button type="button" @click="$emit('files')">Files</button>
  <button type="button" class="disabled:opacity-60" :disabled="!box.canUndo" @click="box.undo()">Undo</button>
</template>
