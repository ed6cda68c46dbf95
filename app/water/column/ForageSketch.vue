<script setup lang="ts">
import { computed } from 'vue'
import { FORAGE, type Forage } from '#core/prey/forage'
import { useColumn } from './useColumn'
import { vFollow } from '~/common/follow'
import { cap } from '~/words/options'

/** What they are likely eating, drawn small; opens the food sheet. */
defineEmits<{ open: [] }>()
const c = useColumn()
const preyAt = (i: number) => c.screen.value?.prey[i]
const first = computed(() => preyAt(0)?.kind as Forage | undefined)
const second = computed(() => preyAt(1)?.kind as Forage | undefined)
const percent = computed(() => Math.round((preyAt(0)?.share ?? 0) * 100))
const plain = () => ({ background: c.patch(c.asideY.value + 84, 34) })
const ground = computed(() => first.value === 'crawfish' || first.value === 'crab' || first.value === 'shrimp')
const FISH = 'M0 0C4 -4 12 -4 18 0L24 -4V4L18 0C12 4 4 4 0 0Z'
const CRAW =
  'M6 0C8 -5 18 -5 26 -2L34 -5V5L26 2C18 5 8 5 6 0ZM6 -1L-4 -8M6 1L-4 8M-4 -8L-11 -7M-4 -8L-9 -12M-4 8L-11 7M-4 8L-9 12'
const spots = [
  [0, 0],
  [30, -9],
  [58, 2],
  [16, 14],
  [46, 18],
] as const
</script>

<template>
  <button
    type="button"
    class="figure flex min-h-11 items-center gap-2 text-left text-note"
    :style="{ color: c.ink.value }"
    @click="$emit('open')"
  >
    <svg
      width="92"
      height="44"
      viewBox="-14 -16 104 44"
      fill="none"
      stroke="currentColor"
      stroke-width="1.4"
      aria-hidden="true"
    >
      <path v-if="ground" :d="CRAW" transform="translate(18 4)" />
      <template v-else>
        <path v-for="(p, i) in spots" :key="i" :d="FISH" :transform="`translate(${p[0]} ${p[1]})`" />
      </template>
    </svg>
    <span v-if="first" v-follow="plain" class="px-1">
      <span class="block font-bold">{{ cap(FORAGE[first].plural) }} {{ percent }} %</span>
      <span v-if="second" class="block">then {{ FORAGE[second].plural }}</span>
    </span>
    <span class="off">Change what they are eating</span>
  </button>
</template>
