<script setup lang="ts">
import { computed, useId } from 'vue'
import type { LureId } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import type { Mark } from '#core/lure/pattern'
import { FIGURES } from './all'
import { bundles, specks } from './strands'
import { trebleAt } from './treble'
import type { Layer } from './types'
import type { Dress } from './dress'
import { UNKNOWN, partOf } from './throughWater'
import { redTone } from './tone'
import BodyLayer from './BodyLayer.vue'

/**
 * One lure, from data. `dress` draws it in the hand with materials; `through` draws it as it looks through the water,
 * in the flat colours that `v-through-water` on an element around it gives, its outline thin while the shape is made
 * out; neither draws a one-ink silhouette for pickers.
 */
const props = withDefaults(
  defineProps<{
    lure: LureId
    dress?: Dress
    through?: boolean
    mark?: Mark | null
    /** Draw by lightness in red, for night. */
    red?: boolean
    /** Outline width in figure units; thicker where the figure is reduced. */
    line?: number
    label?: string
  }>(),
  { dress: undefined, through: false, mark: null, red: false, line: 1.6, label: '' },
)

const id = useId()
const figure = computed(() => FIGURES[props.lure])
const trebles = computed(() => figure.value.layers.map(layer => (layer.kind === 'treble' ? trebleAt(layer) : null)))
const inHand = computed(() => !!props.dress)
const outlined = computed(() => (inHand.value ? props.line : 0))
const tone = (c: string) => (props.red ? redTone(c) : c)

const drawnPart = (part: Part) => props.dress && partOf(props.dress, part)
function colourOf(part: Part): string {
  if (props.through) return UNKNOWN
  if (!props.dress) return 'currentColor'
  if (part === 'bill') return tone('#cfd6d2')
  if (part === 'hook') return tone('#8c8c8a')
  return tone(drawnPart(part)?.colour ?? '#999999')
}
const has = (part: Part) => !!props.dress?.[part]

/** Paths of the strands by colour: a skirt in the hand shows its mixture, one in motion a single blended colour. */
function strands(layer: Layer & { kind: 'strands' }) {
  const specked = props.dress ? (drawnPart(layer.part)?.specks ?? []) : []
  return bundles(
    layer,
    specked.map(s => s.cover),
  ).map((d, k) => ({ d, colour: k === 0 ? colourOf(layer.part) : tone(specked[k - 1]!.colour) }))
}
const sheen = (part: Part) => inHand.value && ['metallic', 'holographic'].includes(drawnPart(part)?.material ?? '')
function specksOf(layer: Layer & { kind: 'shape' }) {
  const coat = inHand.value ? drawnPart(layer.part) : undefined
  return (coat?.specks ?? []).map((s, n) => ({
    d: specks(Math.round(s.cover * 160), [20, 24, 236, 100], 31 + n),
    colour: tone(s.colour),
  }))
}
</script>

<template>
  <svg
    viewBox="0 8 240 104"
    class="block h-full w-full"
    :role="label ? 'img' : undefined"
    :aria-label="label || undefined"
    :aria-hidden="label ? undefined : 'true'"
  >
    <defs v-if="inHand">
      <linearGradient :id="`${id}m`" x1="0" y1="0" x2="0.25" y2="1">
        <stop offset="0" stop-color="#fff" stop-opacity=".25" />
        <stop offset=".3" stop-color="#fff" stop-opacity=".85" />
        <stop offset=".46" stop-color="#000" stop-opacity=".4" />
        <stop offset=".62" stop-color="#fff" stop-opacity=".4" />
        <stop offset="1" stop-color="#000" stop-opacity=".4" />
      </linearGradient>
    </defs>
    <template v-for="(layer, n) in figure.layers" :key="n">
      <BodyLayer
        v-if="layer.kind === 'body'"
        :layer="layer"
        :uid="`${id}b${n}`"
        :colour="colourOf"
        :drawn="drawnPart"
        :has="has"
        :in-hand="inHand"
        :through="through"
        :mark="mark"
        :line="outlined"
        :tone="tone"
      />
      <template v-else-if="layer.kind === 'shape'">
        <path
          :data-part="layer.part"
          :data-seen="through ? `fill ${layer.part}` : undefined"
          :data-outline="through || undefined"
          :d="layer.d"
          :fill="colourOf(layer.part)"
          stroke-linejoin="round"
          :fill-opacity="
            layer.part === 'bill'
              ? inHand
                ? 0.6
                : through
                  ? 0.12
                  : 1
              : drawnPart(layer.part)?.material === 'translucent'
                ? 0.55
                : 1
          "
          :stroke="outlined ? 'currentColor' : 'none'"
          :stroke-width="outlined"
        />
        <template v-if="specksOf(layer).length">
          <clipPath :id="`${id}c${n}`"><path :d="layer.d" /></clipPath>
          <g :clip-path="`url(#${id}c${n})`">
            <path v-for="(s, k) in specksOf(layer)" :key="k" :d="s.d" :fill="s.colour" />
          </g>
        </template>
        <path v-if="sheen(layer.part)" :d="layer.d" :fill="`url(#${id}m)`" :fill-opacity="red ? 0.35 : 1" />
      </template>
      <g
        v-else-if="layer.kind === 'strands'"
        :data-part="layer.part"
        fill="none"
        stroke-linecap="round"
        stroke-width="3.1"
        :stroke-opacity="drawnPart(layer.part)?.material === 'translucent' ? 0.6 : 1"
      >
        <path
          v-for="(s, k) in strands(layer)"
          :key="k"
          :d="s.d"
          :stroke="s.colour"
          :data-seen="through ? `stroke ${layer.part}` : undefined"
        />
      </g>
      <g
        v-else-if="layer.kind === 'treble'"
        fill="none"
        :data-fine="through || undefined"
        stroke="currentColor"
        :stroke-width="trebles[n]!.line"
        stroke-linecap="round"
        stroke-linejoin="round"
      >
        <circle v-bind="trebles[n]!.eye" />
        <path :d="trebles[n]!.d" />
      </g>
      <path
        v-else-if="layer.kind === 'hook'"
        :d="layer.d"
        fill="none"
        :data-fine="through || undefined"
        stroke="currentColor"
        stroke-width="2.2"
        stroke-linecap="round"
      />
      <path
        v-else-if="layer.kind === 'wire'"
        :d="layer.d"
        fill="none"
        :data-fine="through || undefined"
        stroke="currentColor"
        stroke-width="1.8"
        stroke-linecap="round"
      />
      <path
        v-else-if="layer.kind === 'detail' && inHand"
        :d="layer.d"
        fill="none"
        stroke="currentColor"
        stroke-width=".9"
        stroke-opacity=".6"
      />
      <circle
        v-else-if="layer.kind === 'ring' && inHand"
        :cx="layer.x"
        :cy="layer.y"
        :r="layer.r"
        fill="none"
        stroke="currentColor"
        stroke-width="1.5"
      />
      <g v-else-if="layer.kind === 'eye' && (inHand || through)" :data-fine="through || undefined">
        <circle
          :cx="layer.x"
          :cy="layer.y"
          :r="layer.r"
          :fill="through ? 'none' : tone('#f1eee2')"
          :stroke="outlined || through ? 'currentColor' : 'none'"
          stroke-width="1"
        />
        <circle :cx="layer.x - 0.3" :cy="layer.y" :r="layer.r * 0.52" :fill="through ? 'currentColor' : '#111'" />
      </g>
    </template>
  </svg>
</template>
