<script setup lang="ts">
import { ref, toValue, useTemplateRef, watchEffect } from 'vue'
import { at, vFollow } from './follow'

/**
 * One handle of the picture: a slider by name and value for a screen reader, dragged by mouse or finger, stepped by
 * keys. What a movement means is told by `move` (px from where it was taken); two-way handles get a second pair of
 * keys through `cross`. What changes under a finger may be given by getters: the handle then follows without being
 * drawn anew.
 */
const props = withDefaults(
  defineProps<{
    label: string
    value: number | (() => number)
    min: number
    max: number
    step: number
    text: string | (() => string)
    x: number | (() => number)
    y: number | (() => number)
    w?: number
    h?: number
    /** Which way is more with the arrow keys: up for heights, right for breadths; depth grows downwards. */
    grows?: 'up' | 'down' | 'right' | 'left'
    move: (dx: number, dy: number, from: number) => number | null
  }>(),
  { w: 44, h: 44, grows: 'right' },
)
const emit = defineEmits<{ change: [value: number]; held: [on: boolean]; cross: [direction: 1 | -1] }>()

const held = ref(false)
let start = { x: 0, y: 0, value: 0 }
const root = useTemplateRef('root')
watchEffect(
  () => {
    root.value?.setAttribute('aria-valuenow', String(Number(toValue(props.value).toFixed(3))))
    root.value?.setAttribute('aria-valuetext', toValue(props.text))
  },
  { flush: 'post' },
)

function down(e: PointerEvent) {
  const el = e.currentTarget as HTMLElement
  el.setPointerCapture(e.pointerId)
  el.focus()
  held.value = true
  start = { x: e.clientX, y: e.clientY, value: toValue(props.value) }
  emit('held', true)
}
function drag(e: PointerEvent) {
  if (!held.value) return
  const v = props.move(e.clientX - start.x, e.clientY - start.y, start.value)
  if (v !== null) emit('change', Math.min(props.max, Math.max(props.min, v)))
}
function up() {
  if (!held.value) return
  held.value = false
  emit('held', false)
}

const MORE = { up: 'ArrowUp', down: 'ArrowDown', right: 'ArrowRight', left: 'ArrowLeft' } as const
const LESS = { up: 'ArrowDown', down: 'ArrowUp', right: 'ArrowLeft', left: 'ArrowRight' } as const
function key(e: KeyboardEvent) {
  const by = (n: number) =>
    emit('change', Math.min(props.max, Math.max(props.min, toValue(props.value) + n * props.step)))
  if (e.key === MORE[props.grows]) by(1)
  else if (e.key === LESS[props.grows]) by(-1)
  else if (e.key === 'PageUp') by(10)
  else if (e.key === 'PageDown') by(-10)
  else if (e.key === 'Home') emit('change', props.min)
  else if (e.key === 'End') emit('change', props.max)
  else if (e.key === 'ArrowUp' || e.key === 'ArrowLeft') emit('cross', -1)
  else if (e.key === 'ArrowDown' || e.key === 'ArrowRight') emit('cross', 1)
  else return
  e.preventDefault()
}
</script>

<template>
  <div
    ref="root"
    v-follow="() => at(toValue(x) - w / 2, toValue(y) - h / 2)"
    role="slider"
    tabindex="0"
    :aria-label="label"
    :aria-valuemin="min"
    :aria-valuemax="max"
    :aria-orientation="grows === 'up' || grows === 'down' ? 'vertical' : 'horizontal'"
    class="floats flex cursor-grab touch-none items-center justify-center select-none active:cursor-grabbing"
    :style="{ width: `${w}px`, height: `${h}px` }"
    @pointerdown="down"
    @pointermove="drag"
    @pointerup="up"
    @pointercancel="up"
    @keydown="key"
  >
    <slot :held="held" />
  </div>
</template>
