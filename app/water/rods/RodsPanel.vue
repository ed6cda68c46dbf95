<script setup lang="ts">
import { knownFinish } from '#core/box/own'
import { useRigStore } from '~/log/rig/store'
import { useAnswers } from '~/water/useScreen'
import KeepButton from './KeepButton.vue'
import ThreeRods from './ThreeRods.vue'

/** The rotation under the list, and the button that keeps the call. */
defineProps<{ phone: boolean }>()
defineEmits<{ select: [id: string] }>()
const { rods } = useAnswers()
const rig = useRigStore()
/** Water's three go on the rods just as they stand here. */
function rigThese() {
  rig.send(
    rods.value!.answer.rotation.flatMap(({ finishId }) => {
      const finish = knownFinish(finishId)
      return finish ? [{ lure: finish.lure, finishId }] : []
    }),
  )
  void navigateTo('/log')
}
</script>

<template>
  <footer v-if="rods" class="region border-t-2 border-ink px-3 py-2">
    <div v-if="!phone" class="mb-1.5 flex items-center gap-3">
      <h2 class="figure text-lead font-bold whitespace-nowrap">Three rods</h2>
      <button type="button" class="quiet whitespace-nowrap" @click="rigThese">Rig these</button>
      <KeepButton />
    </div>
    <div v-else class="flex items-center justify-between">
      <h2 class="figure text-figure font-bold">Three rods</h2>
      <button type="button" class="quiet" @click="rigThese">Rig these</button>
    </div>
    <ThreeRods :rods="rods.answer.rotation" :selected-id="rods.selectedId" @select="id => $emit('select', id)" />
  </footer>
</template>
