<script setup lang="ts">
/** A line of text in a form; left empty where something is needed, what stood there stays. */
const props = defineProps<{ label: string; value: string; most?: number; needed?: boolean; like?: string }>()
const emit = defineEmits<{ change: [text: string] }>()
function change(e: Event) {
  const input = e.target as HTMLInputElement
  const text = input.value.trim()
  if (text || !props.needed) emit('change', text)
  else input.value = props.value
}
</script>

<template>
  <input
    class="h-11 w-56 max-w-full border border-ink px-2"
    :maxlength="most ?? 80"
    :value="value"
    :placeholder="like"
    :aria-label="label"
    @change="change"
  />
</template>
