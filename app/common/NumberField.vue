<script setup lang="ts">
import { computed, nextTick, ref, toValue } from 'vue'
import { readTyped, roundLimits } from '~/settings/typed'
import type { Scale } from '~/settings/useUnits'

/** A number that is read at a glance, tapped, and typed. What was typed wrongly stays to be mended. */
const props = defineProps<{
  label: string
  value: number | (() => number)
  scale: Scale
  min: number
  max: number
  tag?: boolean
  ink?: string
}>()
const emit = defineEmits<{ change: [value: number] }>()

/** What is wrong and how to mend it. */
const FAULT_WORDS = {
  'not-a-number': (like: string, unit: string) => `Type a number, like ${like} or ${like} ${unit}.`,
  'ambiguous-comma': () => 'Leave the comma out: it may be a thousand or a tenth.',
  'other-unit': (like: string, unit: string) => `That is another unit. Type it like ${like} ${unit}.`,
} as const
/** Limits are met by what rounds to them. */
const NEAR = 0.006

const editing = ref(false)
const draft = ref('')
const fault = ref('')
const input = ref<HTMLInputElement | null>(null)
const shown = computed(() => props.scale.show(toValue(props.value)).toFixed(props.scale.decimals))

async function open() {
  draft.value = shown.value
  fault.value = ''
  editing.value = true
  await nextTick()
  input.value?.select()
}
function commit(): boolean {
  const { scale, min, max } = props
  const typed = readTyped(draft.value, scale.of)
  if ('fault' in typed) fault.value = FAULT_WORDS[typed.fault](shown.value, scale.unit)
  else {
    const metric = 'metric' in typed ? typed.metric : scale.read(typed.bare)
    if (metric < min - NEAR || metric > max + NEAR) {
      const [lo, hi] = roundLimits(scale.show(min), scale.show(max), scale.decimals)
      fault.value = `Between ${lo} and ${hi} ${scale.unit}.`
    } else {
      fault.value = ''
      editing.value = false
      if (draft.value !== shown.value) emit('change', Math.min(max, Math.max(min, metric)))
      return true
    }
  }
  return false
}
function leave() {
  if (!commit()) return
}
function key(e: KeyboardEvent) {
  if (e.key === 'Enter') commit()
  else if (e.key === 'Escape') editing.value = false
  else return
  e.preventDefault()
  e.stopPropagation()
}
</script>

<template>
  <span class="relative inline-flex">
    <button
      v-if="!editing"
      type="button"
      class="figure inline-flex min-h-11 items-center font-bold"
      :class="tag ? 'px-0' : 'border border-ink px-3'"
      :aria-label="`${label}: ${shown} ${scale.unit}. Type a value`"
      @click="open"
    >
      <slot :shown="shown">
        <span>{{ shown }}</span>
        <span class="ml-1 text-[0.72em] font-medium">{{ scale.unit }}</span>
      </slot>
    </button>
    <label v-else class="inline-flex items-center gap-1 bg-page px-1 text-ink">
      <span class="off">{{ label }}, {{ scale.unit }}</span>
      <input
        ref="input"
        v-model="draft"
        class="figure h-11 w-16 border-2 border-ink px-1 font-bold"
        :aria-invalid="!!fault"
        :aria-describedby="fault ? 'number-fault' : undefined"
        @keydown="key"
        @blur="leave"
      />
      <span>{{ scale.unit }}</span>
    </label>
    <span
      v-if="editing && fault"
      id="number-fault"
      role="alert"
      class="absolute top-full left-0 z-20 w-40 border-2 border-ink bg-page p-1 text-note text-ink"
    >
      {{ fault }}
    </span>
  </span>
</template>
