<script setup lang="ts">
import { Dialog } from '@headlessui/vue'
import { useEventListener } from '@vueuse/core'
import { nextTick, onMounted, onUnmounted, ref } from 'vue'

/**
 * A sheet in the frame of the screen: beside the picture on a desk, which stays in hand; over everything, and the only
 * thing in hand, on a phone. It takes the focus, and gives it back when it is closed.
 */
defineProps<{ title: string; phone: boolean; /** Over the whole of a desk's screen. */ wide?: boolean }>()
const emit = defineEmits<{ close: [] }>()
const close = ref<HTMLButtonElement | null>(null)
// Wherever the focus is, unless something nearer closes first: a list that is open, a dialog over this one.
useEventListener(window, 'keydown', (e: KeyboardEvent) => {
  if (e.key === 'Escape' && !e.defaultPrevented && !document.querySelector('[role=listbox]')) emit('close')
})
let opener: HTMLElement | null = null
onMounted(async () => {
  opener = document.activeElement as HTMLElement | null
  await nextTick()
  close.value?.focus()
})
onUnmounted(() => {
  // What covered the opener is gone only after this.
  const back = opener
  setTimeout(() => back?.isConnected && back.focus())
})
</script>

<template>
  <component
    :is="phone ? Dialog : 'section'"
    v-bind="phone ? { open: true, as: 'section', onClose: () => emit('close') } : { role: 'dialog' }"
    :aria-label="title"
    class="z-30 flex min-h-0 flex-col bg-page text-ink"
    :class="[
      phone ? 'fixed inset-x-0 top-11.5 bottom-0' : 'relative row-2',
      phone ? '' : wide ? 'col-[1/-1]' : 'col-[2/-1]',
    ]"
    @keydown.esc.stop="$emit('close')"
  >
    <div class="flex items-center border-b-2 border-ink pl-4">
      <h2 class="figure text-lead font-bold">{{ title }}</h2>
      <button ref="close" type="button" class="ml-auto min-h-11 px-4 font-semibold" @click="$emit('close')">
        Close
      </button>
    </div>
    <div class="scrolls min-h-0 flex-1 p-4" tabindex="0" role="region" :aria-label="title"><slot /></div>
  </component>
</template>
