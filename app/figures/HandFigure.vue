<script setup lang="ts">
import type { Finish } from '#core/lure/finish'
import { useFigurePictures, usePicture } from './useFigurePictures'
import { useTurn } from './useTurns'

/** A finish in the hand, small, for lists. */
const props = defineProps<{ finish: Finish; /** Outline width in figure units. */ line: number }>()
const { pictureOf, hasPicture } = useFigurePictures()
const turn = useTurn(() => hasPicture(props.finish, props.line))
const src = usePicture(() => (turn.value ? pictureOf(props.finish, props.line) : ''))
</script>

<template>
  <img :src="src || undefined" alt="" class="block h-full w-full object-contain" draggable="false" />
</template>
