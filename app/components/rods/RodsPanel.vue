<script setup lang="ts">
import { useAnswers } from '~/screen/useScreen'
import KeepButton from './KeepButton.vue'
import ThreeRods from './ThreeRods.vue'

/** The rotation under the list, and the button that keeps the call. */
defineProps<{ phone: boolean }>()
defineEmits<{ select: [id: string] }>()
const { rods } = useAnswers()
</script>

<template>
  <footer v-if="rods" class="region border-t-2 border-ink px-3 py-2">
    <div v-if="!phone" class="mb-1.5 flex items-center gap-3">
      <h2 class="figure text-lead font-bold whitespace-nowrap">Three rods</h2>
      <KeepButton />
    </div>
    <h2 v-else class="figure text-figure font-bold">Three rods</h2>
    <ThreeRods :rods="rods.answer.rotation" :selected-id="rods.selectedId" @select="id => $emit('select', id)" />
  </footer>
</template>
