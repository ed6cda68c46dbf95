<script setup lang="ts" generic="T extends string">
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { computed } from 'vue'

/** One of a list, by name. */
const props = defineProps<{
  label: string
  value: T
  options: readonly { value: T; words: string; note?: string }[]
  up?: boolean
  dark?: boolean
  /** Without a frame, under the words of its label. */
  bare?: boolean
}>()
const emit = defineEmits<{ change: [value: T] }>()
const current = computed(() => props.options.find(o => o.value === props.value)?.words ?? props.value)
</script>

<template>
  <Listbox :model-value="value" as="div" class="relative" @update:model-value="(v: T) => emit('change', v)">
    <ListboxButton
      class="flex min-h-11 w-full items-center gap-2 text-left font-semibold"
      :class="dark ? 'bg-bed2 px-3 text-on-bed' : bare ? 'px-1' : 'border border-ink px-3'"
      :aria-label="`${label}: ${current}`"
    >
      <span v-if="bare" class="leading-tight">
        <span class="block">{{ label }}</span>
        <span class="block font-medium text-ink2">{{ current }}</span>
      </span>
      <span v-else>{{ current }}</span>
      <span aria-hidden="true" :class="bare ? '' : 'ml-auto'" class="text-[0.8em]">▾</span>
    </ListboxButton>
    <ListboxOptions
      :class="[
        'absolute left-0 z-40 max-h-80 min-w-full overflow-auto border-2 border-ink bg-page text-ink',
        'focus:outline-none',
        up ? 'bottom-full' : 'top-full',
      ]"
    >
      <ListboxOption v-for="o in options" :key="o.value" v-slot="{ active, selected }" :value="o.value" as="template">
        <li class="min-h-11 cursor-pointer px-3 py-2 whitespace-nowrap" :class="active ? 'chosen' : ''">
          <span :class="selected ? 'font-bold' : ''">{{ o.words }}</span>
          <span v-if="o.note" class="block text-[0.85em]">{{ o.note }}</span>
        </li>
      </ListboxOption>
    </ListboxOptions>
  </Listbox>
</template>
