<script setup lang="ts">
import { computed } from 'vue'
import type { SpeciesId } from '#core/eye/species'

/** An ink drawing of the fish, head to the left, towards the lure. */
const props = defineProps<{ species: SpeciesId }>()
const kind = computed(() =>
  props.species === 'crappie'
    ? 'deep'
    : ['red-drum', 'seatrout', 'snook', 'striped-bass'].includes(props.species)
      ? 'long'
      : 'bass',
)
const BODY = {
  bass:
    'M6 30C14 18 34 10 58 11C80 12 96 20 106 27L122 17C119 26 119 36 122 46L106 36C94 44 76 50 56 49' +
    'C32 48 14 42 6 30ZM6 30L24 34',
  deep:
    'M10 31C16 16 34 4 56 5C78 6 94 20 104 28L120 18C117 27 117 37 120 46L104 37C92 50 76 58 56 57' +
    'C34 56 16 46 10 31ZM10 31L22 34',
  long:
    'M4 31C16 22 40 17 66 19C86 20 100 25 108 29L124 20C121 28 121 36 124 44L108 36C98 41 84 45 64 45' +
    'C38 45 16 41 4 31ZM4 31L20 33',
}
const FINS = {
  bass: 'M44 11C50 4 66 3 70 11M74 12C80 6 90 10 92 18M60 49C62 56 70 57 74 49M34 36C40 34 46 38 44 44',
  deep: 'M46 6C56 -2 78 0 82 14M56 57C66 62 82 58 86 48M36 36C42 34 48 38 46 44',
  long: 'M44 18C52 9 62 11 64 18M70 19C80 12 92 16 96 23M72 45C76 51 84 50 88 43M34 35C40 33 45 36 43 41',
}
const SIDE = { bass: 'M28 26C50 24 80 27 104 31', deep: 'M30 24C54 20 82 26 102 31', long: 'M22 29C50 26 84 30 118 32' }
</script>

<template>
  <svg
    viewBox="0 0 128 62"
    width="92"
    height="45"
    fill="none"
    stroke="currentColor"
    stroke-width="2"
    stroke-linejoin="round"
    stroke-linecap="round"
    aria-hidden="true"
  >
    <path :d="BODY[kind]" fill="#0d1206" fill-opacity=".5" />
    <path :d="FINS[kind]" />
    <path :d="SIDE[kind]" stroke-dasharray="7 3" />
    <path d="M30 17C36 24 36 38 30 44" />
    <circle cx="20" :cy="kind === 'long' ? 27 : 25" r="2.4" />
  </svg>
</template>
