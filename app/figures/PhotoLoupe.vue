<script setup lang="ts" generic="K extends string">
import { computed, nextTick, ref } from 'vue'
import { meanColour } from '~/common/pixels'
import { redTone } from './tone'
import { useSettingsStore } from '~/settings/store'

/**
 * A photo on which colours are picked through a loupe, one after the other. The photo stays on the device: nothing but
 * the colours leaves this component.
 */
const props = defineProps<{
  /** What is picked, in turn: its name, the colour it has now, and how to pick it. */
  wanted: readonly { key: K; words: string; colour: string; how: string }[]
  /** What the photo shows, for a screen reader. */
  label: string
}>()
const emit = defineEmits<{ pick: [key: K, colour: string] }>()
const settings = useSettingsStore()
const red = computed(() => settings.theme === 'night')
const canvas = ref<HTMLCanvasElement | null>(null)
const loaded = ref(false)
const turn = ref(0)
const picking = computed(() => props.wanted[turn.value % props.wanted.length]!)
const at = ref({ x: 0.5, y: 0.5 })
const unreadable = ref(false)
/** Longest side of the picture kept, half the side of the square picked, and a step by key, px. */
const [LONGEST, REACH, STEP] = [640, 6, 8] as const

async function load(file: File | undefined) {
  if (!file) return
  try {
    const image = await createImageBitmap(file)
    const scale = Math.min(1, LONGEST / Math.max(image.width, image.height))
    loaded.value = true
    unreadable.value = false
    await nextTick()
    const to = canvas.value!
    to.width = Math.round(image.width * scale)
    to.height = Math.round(image.height * scale)
    to.getContext('2d')!.drawImage(image, 0, 0, to.width, to.height)
    image.close()
  } catch {
    unreadable.value = true
  }
}
function point(e: PointerEvent) {
  const box = canvas.value!.getBoundingClientRect()
  at.value = { x: (e.clientX - box.left) / box.width, y: (e.clientY - box.top) / box.height }
}
function pick() {
  const from = canvas.value!
  const [x, y] = [Math.round(at.value.x * from.width) - REACH, Math.round(at.value.y * from.height) - REACH]
  const side = 2 * REACH + 1
  const colour = meanColour(from.getContext('2d')!.getImageData(x, y, side, side))
  emit('pick', picking.value.key, colour)
  turn.value++
}
const KEYS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
function key(e: KeyboardEvent) {
  const by = KEYS[e.key]
  const to = canvas.value!
  const within = (v: number) => Math.min(1, Math.max(0, v))
  if (by)
    at.value = { x: within(at.value.x + (by[0] * STEP) / to.width), y: within(at.value.y + (by[1] * STEP) / to.height) }
  else if (e.key === 'Enter' || e.key === ' ') pick()
  else return
  e.preventDefault()
}
</script>

<template>
  <div class="w-full" @dragover.prevent @drop.prevent="load($event.dataTransfer?.files[0])">
    <div class="flex flex-wrap items-center gap-3">
      <label class="quiet flex cursor-pointer items-center has-focus-visible:outline-3">
        <input
          type="file"
          accept="image/*"
          capture="environment"
          class="off"
          @change="load(($event.target as HTMLInputElement).files?.[0])"
        />
        Take or choose a photo
      </label>
      <button
        v-for="(w, i) in wanted"
        :key="w.key"
        type="button"
        class="flex min-h-11 items-center gap-2"
        :class="picking.key === w.key && loaded ? 'font-bold underline' : ''"
        @click="turn = i"
      >
        {{ w.words }}
        <span
          class="inline-block h-6 w-10 border border-ink"
          :style="{ background: red ? redTone(w.colour) : w.colour }"
        />
      </button>
    </div>
    <p v-if="unreadable" role="alert" class="text-ink2">
      That file cannot be shown as a picture. Choose a photo (JPEG or PNG).
    </p>
    <template v-if="loaded">
      <p class="py-1">
        Tap the
        <b>{{ picking.words.toLowerCase() }}</b>
        {{ picking.how }}
      </p>
      <div class="relative" :class="red ? 'bg-[#ff3322]' : ''">
        <canvas
          ref="canvas"
          tabindex="0"
          role="application"
          :aria-label="`${label}. Move with the arrow keys, Enter takes the ${picking.words.toLowerCase()}`"
          class="block w-full cursor-crosshair touch-none"
          :class="red ? 'mix-blend-multiply grayscale' : ''"
          @pointermove="point"
          @pointerdown="point"
          @click="pick"
          @keydown="key"
        />
        <svg
          class="pointer-events-none absolute size-16 -translate-1/2"
          :style="{ left: `${at.x * 100}%`, top: `${at.y * 100}%` }"
          viewBox="-32 -32 64 64"
          aria-hidden="true"
        >
          <circle r="30" fill="none" stroke="#000" stroke-width="3" />
          <circle r="30" fill="none" stroke="#fff" stroke-width="1.4" />
          <path d="M-30 0H-6M6 0H30M0 -30V-6M0 6V30" stroke="#fff" stroke-width="1.4" />
          <rect x="-6" y="-6" width="12" height="12" fill="none" stroke="#fff" stroke-width="1.4" />
        </svg>
      </div>
      <p class="text-note text-ink2">The photo stays on this device; only the colours are used.</p>
    </template>
  </div>
</template>
