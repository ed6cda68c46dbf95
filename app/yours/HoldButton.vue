<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core'
import { ref } from 'vue'

/** A button that is held for a second and a half, or pressed twice by keys, before it does anything. */
const props = defineProps<{ disabled?: boolean }>()
const emit = defineEmits<{ held: [] }>()
const HOLD_MS = 1500
const holding = ref(false)
/** By keys: pressed once, it asks for the second. */
const asked = ref(false)
const { start, stop } = useTimeoutFn(
  () => {
    holding.value = false
    emit('held')
  },
  HOLD_MS,
  { immediate: false },
)
function down() {
  if (props.disabled) return
  holding.value = true
  start()
}
function up() {
  holding.value = false
  stop()
}
function key() {
  if (props.disabled) return
  if (asked.value) emit('held')
  asked.value = !asked.value
}
</script>

<template>
  <button
    type="button"
    class="relative isolate min-h-14 overflow-hidden border border-ink px-2 font-semibold select-none"
    :disabled="disabled"
    @pointerdown="down"
    @pointerup="up"
    @pointerleave="up"
    @pointercancel="up"
    @contextmenu.prevent
    @keydown.enter.prevent="key"
    @keydown.space.prevent="key"
    @blur="asked = false"
  >
    <span class="fill absolute inset-y-0 left-0 -z-10 bg-ink" :class="holding ? 'holding' : ''" aria-hidden="true" />
    <span :class="holding ? 'text-white mix-blend-difference' : ''">
      <template v-if="asked">Once more to take it away</template>
      <slot v-else />
    </span>
  </button>
</template>

<style scoped>
.fill {
  width: 0;
}
.holding {
  width: 100%;
  transition: width 1500ms linear;
}
</style>
