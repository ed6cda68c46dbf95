<script setup lang="ts">
/** A device as a drawing, water on its screen. */
defineProps<{ kind: 'phone' | 'tablet' | 'computer' }>()
</script>

<template>
  <svg
    class="h-16 w-22"
    viewBox="0 0 88 64"
    fill="none"
    stroke="currentColor"
    stroke-width="2"
    stroke-linejoin="round"
    aria-hidden="true"
  >
    <template v-if="kind === 'computer'">
      <path d="M12 12H76V52H12ZM4 60H84L76 52H12Z" />
      <path d="M18 24V18H70V24M18 24q6-4 13 0t13 0t13 0t13 0" stroke-width="1.4" />
    </template>
    <template v-else-if="kind === 'tablet'">
      <path d="M20 6H64V60H20Z" />
      <path d="M26 20V12H58V20M26 20q5-4 8 0t8 0t8 0t8 0" stroke-width="1.4" />
    </template>
    <template v-else>
      <path d="M26 4H58V60H26ZM38 54h8" />
      <path d="M31 18V10H53V18M31 18q4-4 7 0t7 0t8 0" stroke-width="1.4" />
    </template>
  </svg>
</template>
