<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

/** A panel over the screen: from the side on a desk, from below on a phone. */
defineProps<{ open: boolean; title: string; wide?: boolean }>()
defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="$emit('close')">
    <div class="fixed inset-0 bg-black/50" aria-hidden="true" />
    <div class="fixed inset-0 flex items-end justify-center sm:items-stretch sm:justify-end">
      <DialogPanel
        :class="[
          'flex max-h-[92dvh] w-full flex-col border-t-2 border-ink bg-page text-ink sm:max-h-none',
          'sm:border-t-0 sm:border-l-2',
          wide ? 'sm:max-w-2xl' : 'sm:max-w-md',
        ]"
      >
        <div class="flex items-center border-b-2 border-ink pl-4">
          <DialogTitle class="figure text-lead font-bold">{{ title }}</DialogTitle>
          <button type="button" class="ml-auto min-h-12 px-4 font-semibold" @click="$emit('close')">Close</button>
        </div>
        <div class="min-h-0 overflow-y-auto p-4" tabindex="0" role="region" :aria-label="title"><slot /></div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
