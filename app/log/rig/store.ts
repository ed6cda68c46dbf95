import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { Rod } from '#shared/schema/record'

/** Rods that another place sent here to be rigged: Water's three, just as they stood there. */
export const useRigStore = defineStore('rig', () => {
  const sent = ref<Rod[] | null>(null)
  const send = (rods: Rod[]) => {
    sent.value = rods
  }
  return { sent, send }
})
