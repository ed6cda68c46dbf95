<script setup lang="ts">
import { computed } from 'vue'
import { placesWrong, whyWrong } from '#core/bench/order'
import { finishById } from '#core/lure/finish'
import { say } from '#core/words/sentence'
import type { BarShown } from './work'
import HandFigure from '~/figures/HandFigure.vue'
import { useSettingsStore } from '~/settings/store'

/** The order guessed beside the order in which they went, to the fish and to a diver, as far as one has backed off. */
const props = defineProps<{ shown: BarShown; guess: readonly string[]; offM: number; fish: string }>()
defineEmits<{ clear: [] }>()
const settings = useSettingsStore()
const n = computed(() => props.shown.ids.length)
const goneM = (id: string, key: 'fishM' | 'diverM') => props.shown.bar.hung.find(h => h.finishId === id)![key]
const went = (key: 'fishM' | 'diverM', order: readonly (readonly string[])[]) =>
  order.flat().map(id => (goneM(id, key) < props.offM ? id : null))
const columns = computed(() => [
  { name: 'You', ids: Array.from({ length: n.value }, (_, i) => props.guess[i] ?? null) },
  { name: props.fish, ids: went('fishM', props.shown.bar.fish) },
  { name: 'Diver', ids: went('diverM', props.shown.bar.diver) },
])
const ROW = 36
const wrong = computed(() => placesWrong(props.guess, props.shown.bar.fish))
/** Lines from where a lure was put to where it went, thick where three places and more were wrong. */
const threads = computed(() => {
  const out: { key: string; from: number; to: number; column: number; thick: boolean }[] = []
  for (const column of [0, 1]) {
    const [a, b] = [columns.value[column]!.ids, columns.value[column + 1]!.ids]
    a.forEach((id, from) => {
      const to = id ? b.indexOf(id) : -1
      if (to >= 0)
        out.push({
          key: `${column}${id}`,
          from,
          to,
          column,
          thick: column === 0 && Math.abs(wrong.value.get(id!) ?? 0) >= 3,
        })
    })
  }
  return out
})
/** Ends of the gaps between the columns, and their middles, as shares of the breadth. */
const GAPS = [
  [28, 33, 38],
  [62, 67, 72],
] as const
function pathOf({ from, to, column }: { from: number; to: number; column: number }): string {
  const [left, middle, right] = GAPS[column]!
  const [y1, y2] = [from, to].map(i => ((i + 0.5) / n.value) * 100)
  return `M${left} ${y1}C${middle} ${y1} ${middle} ${y2} ${right} ${y2}`
}
/** Those that went together, bracketed. */
const together = computed(() => {
  let at = 0
  return props.shown.bar.fish.flatMap(place => {
    const from = at
    at += place.length
    return place.length > 1 && place.every(id => goneM(id, 'fishM') < props.offM) ? [{ from, to: at - 1 }] : []
  })
})
const goneCount = computed(() => columns.value[1]!.ids.filter(Boolean).length)
const words = computed(() => {
  if (!props.guess.length) return 'Tap the letters in the order you think they go, or just back off.'
  if (props.guess.length < n.value) return `${n.value - props.guess.length} more to put in order, or back off now.`
  const seen = columns.value[1]!.ids.filter(id => id !== null)
  const right = seen.filter(id => wrong.value.get(id) === 0).length
  return goneCount.value
    ? `${goneCount.value} gone for the ${props.fish.toLowerCase()}, ${right} where you put it.`
    : 'Now back off, and watch them go.'
})
const why = computed(() => {
  if (props.guess.length < n.value || goneCount.value < n.value) return ''
  const sentence = whyWrong(props.shown.bar, props.guess)
  return sentence ? say(sentence, settings.units) : 'Every one where you put it, give or take a place.'
})
const look = (id: string) => finishById(id)!
</script>

<template>
  <section class="p-3" aria-label="Which goes first?">
    <h2 class="figure text-lead font-bold">Which goes first?</h2>
    <p class="min-h-11 leading-snug" role="status">{{ words }} {{ why }}</p>
    <div class="relative mt-1">
      <svg
        class="pointer-events-none absolute inset-0 h-full w-full"
        viewBox="0 0 100 100"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <path
          v-for="t in threads"
          :key="t.key"
          :d="pathOf(t)"
          fill="none"
          stroke="currentColor"
          vector-effect="non-scaling-stroke"
          :stroke-width="t.thick ? 3 : 1"
        />
        <path
          v-for="b in together"
          :key="b.from"
          :d="`M38 ${((b.from + 0.3) / n) * 100}H37V${((b.to + 0.7) / n) * 100}H38`"
          fill="none"
          stroke="currentColor"
          vector-effect="non-scaling-stroke"
          stroke-width="1.5"
        />
      </svg>
      <div class="relative grid grid-cols-3 gap-x-[10%]">
        <ol v-for="c in columns" :key="c.name" :aria-label="c.name">
          <li v-for="(id, i) in c.ids" :key="i" class="flex items-center gap-1" :style="{ height: `${ROW}px` }">
            <span class="figure w-3 text-note font-bold">{{ c.name === 'You' ? i + 1 : '' }}</span>
            <span
              class="block h-7.5 min-w-0 flex-1"
              :class="id ? 'bg-plate' : 'border border-dashed border-hair'"
              :title="id ? look(id).name : undefined"
            >
              <HandFigure v-if="id" :finish="look(id)" :line="3" />
              <span v-if="id" class="off">{{ look(id).name }}</span>
            </span>
          </li>
        </ol>
      </div>
    </div>
    <p class="mt-1 grid grid-cols-3 gap-x-[10%] text-note font-bold" aria-hidden="true">
      <span v-for="c in columns" :key="c.name" class="pl-4">{{ c.name }}</span>
    </p>
    <button v-if="guess.length" type="button" class="quiet mt-2" @click="$emit('clear')">Order them anew</button>
  </section>
</template>
