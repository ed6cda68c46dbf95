<script setup lang="ts">
import type { COVER_PATHS } from './rows'

/** Cover as a small drawing over its column. */
defineProps<{ of: (typeof COVER_PATHS)[number] }>()
const DRAWN = {
  grass: 'M4 23q-4 -10 2 -21M10 23q3 -10 -1 -21M16 23q-4 -10 2 -21M22 23q3 -10 -1 -21',
  wood: 'M3 22L22 4M9 16L3 7M13 12l10 5',
  rock: 'M2 22l4 -9 6 -2 4 6 2 5ZM16 22l2 -6 5 -2 4 8Z',
  dock: 'M2 4H26M5 4V23M14 4V23M23 4V23',
  mat: 'M2 8q3 -5 6 0t6 0t6 0t6 0M2 8v4q3 4 6 0t6 0t6 0t6 0V8',
} as const
</script>

<template>
  <svg width="28" height="25" viewBox="0 0 28 25" class="block" aria-hidden="true">
    <path
      :d="DRAWN[of]"
      :fill="of === 'rock' || of === 'mat' ? 'var(--page)' : 'none'"
      stroke="currentColor"
      stroke-width="2"
      stroke-linecap="round"
      stroke-linejoin="round"
    />
  </svg>
</template>
