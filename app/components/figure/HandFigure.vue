<script setup lang="ts">
import { createSharedComposable } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Finish } from '#core/finish/finish'
import { figureImage } from '../../figures/image'
import { useSettingsStore } from '../../stores/settings'
import { dressOf } from '../../utils/dress'

/** A finish in the hand, small, for lists. */
const props = defineProps<{ finish: Finish, /** Outline width in figure units. */ line: number }>()
const settings = useSettingsStore()
const ink = useInk()
const src = computed(() => {
  const { id, lure, mark } = props.finish
  return figureImage(`${id} ${props.line} ${ink.value}`, { lure, dress: dressOf(props.finish), mark, red: settings.theme === 'night', line: props.line }, ink.value)
})
</script>

<script lang="ts">
/** The theme's ink, which a picture cannot inherit. */
const useInk = createSharedComposable(() => {
  const settings = useSettingsStore()
  const ink = ref('')
  watch(() => settings.theme, () => { ink.value = getComputedStyle(document.documentElement).getPropertyValue('--ink').trim() }, { immediate: true, flush: 'post' })
  return ink
})
</script>

<template>
  <img :src="src" alt="" class="block h-full w-full" draggable="false">
</template>
