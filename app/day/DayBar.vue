<script setup lang="ts">
import { useDayStore } from './store'
import { clock } from '~/reading/clock'

/** What the day adds to the bar: its sheets, undo, and the way to the hour in Water. */
defineProps<{ cursorMin: number }>()
defineEmits<{ setup: []; plans: []; hour: [] }>()
const day = useDayStore()
</script>

<template>
  <button type="button" @click="$emit('setup')">Rods and banks</button>
  <button type="button" @click="$emit('plans')">Kept plans</button>
  <button type="button" class="disabled:opacity-60" :disabled="!day.canUndo" @click="day.undo()">Undo</button>
  <NuxtLink
    to="/"
    class="flex min-h-11 items-center px-2.25"
    :aria-label="`Open ${clock(cursorMin)} in Water`"
    @click="$emit('hour')"
  >
    {{ clock(cursorMin) }} in Water
  </NuxtLink>
</template>
