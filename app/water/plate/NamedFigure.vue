<script setup lang="ts">
import { computed } from 'vue'
import { coatWords, parseCoat } from '#core/paintwork/coat'
import type { Finish } from '#core/lure/finish'
import type { Part } from '#core/paintwork/parts'
import { FIGURES } from '~/figures/all'
import { type Dress, dressOf } from '~/figures/dress'
import { cap } from '~/words/options'
import LureFigure from '~/figures/LureFigure.vue'

/** A dress-up tried on: the part it is put on, its coat, and what it adds. */
interface Dressing {
  part: Part
  coat: string
  gain: number
  dress: Dress
}
/** The lure large, its parts named on leader lines, dressed up where that is tried on. At night it is drawn by tone. */
const props = defineProps<{ finish: Finish; red: boolean; dressing: Dressing | null }>()
const dress = computed(() => props.dressing?.dress ?? dressOf(props.finish))
/** What is said of a part: its coat, or the one tried on with what it adds. */
const coatOf = ({ part, coat }: Finish['parts'][number]) =>
  props.dressing?.part === part
    ? `${coatWords(parseCoat(props.dressing.coat))}, +${Math.round(props.dressing.gain * 100)}`
    : coatWords(coat)
const W = 374
const H = 180
/** The figure's box within the plate: 240 x 104 units scaled and set in the middle. */
const K = 0.92
const OX = (W - 240 * K) / 2
const OY = 44
/** Height of a line and mean breadth of a letter of the labels, figure units. */
const LINE = 13.5
const LETTER = 6.1
/** Words in at most two lines of so many letters. */
function linesOf(words: string, letters: number): string[] {
  if (words.length <= letters) return [words]
  const cut = words.lastIndexOf(' ', letters)
  const rest = words.slice(cut + 1)
  return cut < 1
    ? [`${words.slice(0, letters - 1)}…`]
    : [words.slice(0, cut), rest.length > letters ? `${rest.slice(0, letters - 1)}…` : rest]
}
const labels = computed(() => {
  const at = FIGURES[props.finish.lure].at
  const parts = props.finish.parts
    .filter(p => at[p.part])
    .map(p => ({
      part: p.part,
      words: coatOf(p),
      x: OX + at[p.part]![0] * K,
      y: OY + (at[p.part]![1] - 8) * K,
    }))
  // Upper half of the lure is labelled above, the rest below; within each, left to right, so that leaders never cross.
  const mid = OY + 52 * K
  const top = parts.filter(p => p.y <= mid).sort((a, b) => a.x - b.x)
  const low = parts.filter(p => p.y > mid).sort((a, b) => a.x - b.x)
  const row = (list: typeof parts, above: boolean) =>
    list.map((p, i) => {
      const slots = Math.max(2, list.length)
      const lx = 10 + ((i + (list.length === 1 ? (p.x > W / 2 ? 1 : 0) : 0)) * (W - 20)) / slots
      const lines = linesOf(p.words, Math.floor(((W - 20) / slots - 6) / LETTER))
      return { ...p, lx, lines, ly: above ? 14 : H - 4.5 - LINE * lines.length, above }
    })
  return [...row(top, true), ...row(low, false)]
})
const NAMES: Partial<Record<Part, string>> = { chin: 'Throat', flank: 'Side' }
const nameOf = (p: Part) => NAMES[p] ?? cap(p)
const spoken = computed(() => labels.value.map(l => `${nameOf(l.part)}: ${l.words}`).join('. '))
</script>

<template>
  <figure class="relative bg-plate text-ink">
    <svg :viewBox="`0 0 ${W} ${H}`" class="figure block w-full" role="img" :aria-label="`${finish.name}. ${spoken}`">
      <g v-for="l in labels" :key="l.part" font-size="12.5">
        <path
          :d="`M${l.lx + 20} ${l.above ? l.ly + 4.5 + LINE * l.lines.length : l.ly - 12}L${l.x} ${l.y}`"
          stroke="currentColor"
          stroke-width="1"
        />
        <circle :cx="l.x" :cy="l.y" r="2.2" fill="currentColor" />
        <text :x="l.lx" :y="l.ly" font-weight="700" fill="currentColor">{{ nameOf(l.part) }}</text>
        <text v-for="(line, k) in l.lines" :key="k" :x="l.lx" :y="l.ly + LINE * (k + 1)" fill="currentColor">
          {{ line }}
        </text>
      </g>
      <svg :x="OX" :y="OY" :width="240 * K" :height="104 * K" overflow="visible">
        <LureFigure :lure="finish.lure" :dress="dress" :mark="finish.mark" :red="red" :line="1.3" />
      </svg>
    </svg>
  </figure>
</template>
