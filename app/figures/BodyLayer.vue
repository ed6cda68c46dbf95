<script setup lang="ts">
import { computed } from 'vue'
import type { Part } from '#core/paintwork/parts'
import type { Mark } from '#core/lure/pattern'
import { blotches, specks } from './strands'
import type { Layer } from './types'
import type { Drawn } from './dress'

/** A body whose back, side, belly, throat, head and tail are bands of one outline. */
const props = defineProps<{
  layer: Layer & { kind: 'body' }
  uid: string
  colour: (part: Part) => string
  drawn: (part: Part) => Drawn | undefined
  has: (part: Part) => boolean
  inHand: boolean
  through: boolean
  mark: Mark | null
  line: number
  tone: (c: string) => string
}>()

const box = computed(() => {
  const [x0, y0, x1, y1] = props.layer.box
  return { x0, y0, x1, y1, w: x1 - x0, mid: props.layer.mid }
})
const flank = computed(() => props.drawn('flank') ?? props.drawn('belly'))
const material = computed(() => (props.inHand ? (flank.value?.material ?? 'matte') : 'matte'))
const url = (k: string) => `url(#${props.uid}${k})`

const bars = computed(() =>
  Array.from({ length: 8 }, (_, i) => {
    const { x0, y0, w, mid } = box.value
    const x = x0 + 40 + (i * (w - 60)) / 8
    return `M${x} ${y0}C${x + 5} ${mid - 12} ${x + 1} ${mid} ${x + 4} ${mid + 9 - (i % 2) * 6}
      C${x + 8} ${mid - 4} ${x + 9} ${mid - 14} ${x + 9} ${y0}Z`
  }),
)
const blotted = computed(() =>
  blotches(26, [box.value.x0 + 30, box.value.y0 + 8, box.value.x1 - 14, box.value.y1 - 18], 77),
)
const scales = computed(() => {
  const { x0, x1, mid } = box.value
  return Array.from({ length: 7 * 24 }, (_, k) => ({
    x: x0 + 44 + (k % 24) * 6.4 + (Math.floor(k / 24) % 2) * 3.2,
    y: mid - 16 + Math.floor(k / 24) * 4.4,
  }))
    .filter(s => s.x < x1 - 22)
    .map(s => `M${s.x} ${s.y - 2.6}q3.4 2.6 0 5.2`)
    .join('')
})
const rings = computed(() =>
  Array.from(
    { length: 30 },
    (_, i) => `M${box.value.x0 + 14 + (i * (box.value.w - 20)) / 30} ${box.value.y0}v${box.value.y1 - box.value.y0}`,
  ).join(''),
)
/** The colour of the marks: the first plain speckle of the side, or the back. */
const markColour = computed(() =>
  props.tone(flank.value?.specks.find(s => !s.mirror)?.colour ?? props.drawn('back')?.colour ?? '#222222'),
)
const flakes = computed(() =>
  (props.inHand ? (flank.value?.specks ?? []) : [])
    .filter(s => s.mirror || !props.mark || props.mark === 'dot' || props.mark === 'scale')
    .map((s, n) => ({
      d: specks(
        Math.round(s.cover * 420),
        [box.value.x0 + 6, box.value.y0 + 5, box.value.x1 - 6, box.value.y1 - 5],
        31 + 7 * n,
      ),
      colour: props.tone(s.colour),
    })),
)
/** Where down a body seen through the water each part's colour lies; the throat counts as belly there. */
const run = computed(() => {
  const { y0, y1, mid } = box.value
  const at = (y: number) => Number(((y - y0) / (y1 - y0)).toFixed(3))
  return [
    { at: at(y0 + 0.5 * (mid - y0)), part: 'back' },
    { at: at(mid), part: 'flank' },
    { at: at(mid + 4), part: 'flank' },
    { at: at(mid + 4 + 0.5 * (y1 - mid - 4)), part: 'belly' },
  ]
})
const HOLO = ['#f3b6c6', '#bfe9c9', '#bcd6f5', '#f6ecad', '#d9c4ef']
</script>

<template>
  <!-- In a picker: the outline alone. Through the water: one shape whose colour runs from back to belly, nothing
       to clip. -->
  <path v-if="!inHand && !through" :d="layer.d" fill="currentColor" />
  <g v-else-if="through">
    <defs>
      <linearGradient :id="`${uid}g`" x1="0" :y1="box.y0" x2="0" :y2="box.y1" gradientUnits="userSpaceOnUse">
        <stop v-for="s in run" :key="s.at" :offset="s.at" :data-seen="`stop-color ${s.part}`" />
      </linearGradient>
    </defs>
    <path data-part="flank" data-outline :d="layer.d" :fill="url('g')" />
  </g>
  <g v-else>
    <defs>
      <clipPath :id="`${uid}b`"><path :d="layer.d" /></clipPath>
      <linearGradient :id="`${uid}k`" x1="0" :y1="box.y0" x2="0" :y2="box.mid" gradientUnits="userSpaceOnUse">
        <stop offset=".5" :stop-color="colour('back')" />
        <stop offset=".72" :stop-color="colour('back')" stop-opacity=".8" />
        <stop offset="1" :stop-color="colour('back')" stop-opacity="0" />
      </linearGradient>
      <linearGradient :id="`${uid}w`" x1="0" :y1="box.mid + 4" x2="0" :y2="box.y1" gradientUnits="userSpaceOnUse">
        <stop offset="0" :stop-color="colour('belly')" stop-opacity="0" />
        <stop offset=".5" :stop-color="colour('belly')" />
      </linearGradient>
      <template v-if="inHand">
        <linearGradient :id="`${uid}s`" x1="0" :y1="box.y0" x2="0" :y2="box.y1" gradientUnits="userSpaceOnUse">
          <stop offset="0" stop-color="#fff" stop-opacity="0" />
          <stop offset=".17" stop-color="#fff" stop-opacity=".26" />
          <stop offset=".3" stop-color="#fff" stop-opacity="0" />
          <stop offset=".62" stop-color="#000" stop-opacity="0" />
          <stop offset="1" stop-color="#000" stop-opacity=".3" />
        </linearGradient>
        <linearGradient
          v-if="material === 'metallic'"
          :id="`${uid}m`"
          x1="0"
          :y1="box.y0"
          x2="0"
          :y2="box.y1"
          gradientUnits="userSpaceOnUse"
        >
          <stop offset="0" stop-color="#fff" stop-opacity=".1" />
          <stop offset=".3" stop-color="#fff" stop-opacity=".85" />
          <stop offset=".42" stop-color="#000" stop-opacity=".45" />
          <stop offset=".58" stop-color="#fff" stop-opacity=".45" />
          <stop offset="1" stop-color="#000" stop-opacity=".4" />
        </linearGradient>
        <radialGradient v-if="material === 'pearl'" :id="`${uid}p`" cx=".42" cy=".3" r=".6">
          <stop offset="0" stop-color="#fff" stop-opacity=".8" />
          <stop offset="1" stop-color="#fff" stop-opacity="0" />
        </radialGradient>
      </template>
    </defs>
    <g :clip-path="url('b')">
      <path
        data-part="flank"
        :d="layer.d"
        :fill="colour('flank')"
        :fill-opacity="material === 'translucent' ? 0.5 : 1"
      />
      <path v-if="material === 'metallic'" :d="layer.d" :fill="url('m')" />
      <path v-if="material === 'pearl'" :d="layer.d" :fill="url('p')" />
      <template v-if="material === 'holographic'">
        <path
          v-for="i in 16"
          :key="i"
          :d="`M${box.x0 + (i - 1) * 13} ${box.y0}h14l-18 ${box.y1 - box.y0}h-9Z`"
          :fill="tone(HOLO[i % 5]!)"
          fill-opacity=".62"
        />
      </template>
      <rect
        v-if="has('belly')"
        data-part="belly"
        :x="box.x0"
        :y="box.mid"
        :width="box.w"
        :height="box.y1 - box.mid + 4"
        :fill="url('w')"
      />
      <rect
        v-if="has('back')"
        data-part="back"
        :x="box.x0"
        :y="box.y0 - 2"
        :width="box.w"
        :height="box.mid - box.y0 + 2"
        :fill="url('k')"
      />
      <path
        v-if="has('head')"
        data-part="head"
        :d="`M${box.x0 - 4} ${box.y0}H${box.x0 + 34}
          C${box.x0 + 44} ${box.mid - 10} ${box.x0 + 44} ${box.mid + 16} ${box.x0 + 34} ${box.y1}
          H${box.x0 - 4}Z`"
        :fill="colour('head')"
      />
      <path
        v-if="has('chin')"
        data-part="chin"
        :d="`M${box.x0} ${box.mid + 2}
          C${box.x0 + 14} ${box.mid + 4} ${box.x0 + 34} ${box.mid + 12} ${box.x0 + 58} ${box.y1 + 3}
          L${box.x0} ${box.y1 + 6}Z`"
        :fill="colour('chin')"
      />
      <template v-if="inHand">
        <path v-if="mark === 'bars'" :d="bars.join('')" :fill="markColour" fill-opacity=".8" />
        <path v-if="mark === 'craw'" :d="blotted" :fill="markColour" fill-opacity=".75" />
        <path
          v-if="mark === 'scale'"
          :d="scales"
          fill="none"
          stroke="currentColor"
          stroke-width=".55"
          stroke-opacity=".45"
        />
        <circle v-if="mark === 'dot'" :cx="box.x0 + 60" :cy="box.mid - 3" r="5.5" :fill="markColour" />
      </template>
      <path
        v-if="has('tail')"
        data-part="tail"
        :d="`M${box.x1 - 26} ${box.y0 - 8}
          C${box.x1 - 34} ${box.mid - 8} ${box.x1 - 34} ${box.mid + 8} ${box.x1 - 26} ${box.y1 + 8}
          H${box.x1 + 8}V${box.y0 - 8}Z`"
        :fill="colour('tail')"
      />
      <path v-for="(s, k) in flakes" :key="k" :d="s.d" :fill="s.colour" />
      <path
        v-if="layer.rings && inHand"
        :d="rings"
        fill="none"
        stroke="currentColor"
        stroke-width=".8"
        stroke-opacity=".16"
      />
    </g>
    <path v-if="inHand && material !== 'fluorescent'" :d="layer.d" :fill="url('s')" />
    <path
      v-if="inHand && material === 'translucent'"
      :d="`M${box.x0 + 26} ${box.mid + 2}
        C${box.x0 + 70} ${box.mid - 2} ${box.x1 - 60} ${box.mid - 2} ${box.x1 - 24} ${box.mid - 1}`"
      fill="none"
      stroke="currentColor"
      stroke-width=".8"
      stroke-dasharray="3 2.4"
      stroke-opacity=".5"
    />
    <path v-if="line" :d="layer.d" fill="none" stroke="currentColor" :stroke-width="line" stroke-linejoin="round" />
  </g>
</template>
