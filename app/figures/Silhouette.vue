<script setup lang="ts">
import type { LureId } from '#core/lure/types'
import { useFigurePictures, usePicture } from './useFigurePictures'

/** A lure in one ink, for pickers. */
const props = defineProps<{ lure: LureId; /** On the ground of what is chosen. */ chosen: boolean }>()
const { silhouetteOf } = useFigurePictures()
const src = usePicture(() => silhouetteOf(props.lure, props.chosen))
</script>

<template>
  <img :src="src" alt="" class="block h-full w-full" draggable="false" />
</template>
