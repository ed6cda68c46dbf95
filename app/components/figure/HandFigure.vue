<script setup lang="ts">
import type { Finish } from '#core/lure/finish'
import { useFigurePictures, usePicture } from './useFigurePictures'

/** A finish in the hand, small, for lists. */
const props = defineProps<{ finish: Finish; /** Outline width in figure units. */ line: number }>()
const { pictureOf } = useFigurePictures()
const src = usePicture(() => pictureOf(props.finish, props.line))
</script>

<template>
  <img :src="src" alt="" class="block h-full w-full" draggable="false" />
</template>
