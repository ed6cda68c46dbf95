<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { finishById, finishesOf } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'
import type { PairOut } from '#core/which-lure/pairs'
import type { PairLine } from '#core/which-lure/pairLines'
import { type PairSide, sideWords } from '#core/words/pairs'
import { cap } from '~/words/options'
import DragHandle from '~/common/DragHandle.vue'
import HandFigure from '~/figures/HandFigure.vue'

/** Two lures that anglers swap, along what turns them: the diamond is now, and may be dragged to ask "what if". */
const props = defineProps<{
  pair: PairLine
  /** What decides now, also where now is off the line. */
  now: PairOut | null
  bests: Readonly<Record<string, string>>
  width: number
}>()
/** Where it is dragged to; null where it stands at now. */
const asked = ref<number | null>(null)
watch(
  () => props.pair.now,
  () => (asked.value = null),
)
const at = computed(() => asked.value ?? props.pair.now)
const step = computed(() => (at.value === null ? null : props.pair.steps[at.value]!))
const inset = 10
const x = (i: number) => inset + ((props.width - 2 * inset) * i) / Math.max(1, props.pair.steps.length - 1)
/** Spans of the line on which one side wins, or nothing is decided. */
const spans = computed(() =>
  props.pair.steps.slice(1).map((s, i) => {
    const before = props.pair.steps[i]!
    const wins = before.wins === s.wins ? s.wins : null
    const decided = wins === 'a' || wins === 'b'
    return { from: x(i), to: x(i + 1), decided, turns: !wins }
  }),
)
const names = computed(() => [props.pair.steps[0]!.name, props.pair.steps.at(-1)!.name])
const figures = computed(() =>
  ([props.pair.a, props.pair.b] as PairSide[]).map((side, i) => {
    const lure: LureId = side === 'knocking' || side === 'silent' ? 'lipless-crankbait' : side
    const finish = finishById(props.bests[lure] ?? '') ?? finishesOf(lure)[0]!
    return { words: cap(sideWords(side)), finish, wins: (step.value ?? props.now)?.wins === (i ? 'b' : 'a') }
  }),
)
const told = computed(() => (step.value ?? props.now)?.why ?? null)
</script>

<template>
  <section class="border-b border-ink pb-2" :aria-label="`${figures[0]!.words} or ${figures[1]!.words}`">
    <div class="grid grid-cols-2 gap-6">
      <div v-for="f in figures" :key="f.words">
        <div class="h-14 px-3 py-1" :class="f.wins ? 'border-b-4 border-ink bg-plate' : 'border-b border-hair'">
          <HandFigure :finish="f.finish" :line="2" />
        </div>
        <p class="figure" :class="f.wins ? 'font-bold' : ''">{{ f.words }}</p>
      </div>
    </div>
    <div class="relative h-11" :style="{ width: `${width}px` }">
      <svg :width="width" height="44" class="absolute inset-0" aria-hidden="true">
        <path
          v-for="s in spans"
          :key="s.from"
          :d="`M${s.from} 22H${s.to}`"
          stroke="var(--ink)"
          :stroke-width="s.decided ? 3 : 1.4"
          :stroke-dasharray="s.decided || s.turns ? undefined : '3 3'"
        />
        <path
          v-for="s in spans.filter(s => s.turns)"
          :key="`t${s.from}`"
          :d="`M${(s.from + s.to) / 2} 15v14`"
          stroke="var(--ink)"
          stroke-width="2"
        />
      </svg>
      <DragHandle
        v-if="at !== null"
        :label="`What if, between ${figures[0]!.words} and ${figures[1]!.words}`"
        :value="at"
        :min="0"
        :max="pair.steps.length - 1"
        :step="1"
        :text="`${pair.steps[at]!.name || `step ${at + 1}`}${asked === null ? ', now' : ''}`"
        :x="x(at)"
        :y="22"
        :move="(dx, _dy, from) => Math.round(from + (dx / (width - 2 * inset)) * (pair.steps.length - 1))"
        @change="v => (asked = v === pair.now ? null : v)"
      >
        <svg width="24" height="24" viewBox="-12 -12 24 24" aria-hidden="true">
          <path
            d="M0 -9L9 0L0 9L-9 0Z"
            :fill="asked === null ? 'var(--page)' : 'var(--ink)'"
            stroke="var(--ink)"
            stroke-width="2"
          />
        </svg>
      </DragHandle>
    </div>
    <p class="-mt-2 flex justify-between text-note text-ink2">
      <span>{{ names[0] }}</span>
      <span v-if="at !== null && at > 0 && at < pair.steps.length - 1" class="font-semibold text-ink">
        {{ pair.steps[at]!.name }}
      </span>
      <span>{{ names[1] }}</span>
    </p>
    <p>
      <span v-if="asked !== null" class="font-semibold">What if:</span>
      {{ told?.text }}
      <button v-if="asked !== null" type="button" class="min-h-11 px-1 underline" @click="asked = null">
        Back to now
      </button>
    </p>
  </section>
</template>
