<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Pin } from '#core/day/pins'
import type { StepScores } from '#core/day/scores'
import { knownFinish } from '#core/box/own'
import { nearest } from '#core/numeric/nearest'
import DragHandle from '~/common/DragHandle.vue'
import HandFigure from '~/figures/HandFigure.vue'
import Silhouette from '~/figures/Silhouette.vue'
import type { LaneSet } from './fields'
import { useDayScale } from './useDayScale'
import type { SpellShown } from './work'
import { clock } from '~/reading/clock'
import { useUnits } from '~/settings/useUnits'
import { LURE_SHORT } from '~/words/options'
import InkBand from './InkBand.vue'

/** One rod through the day: its spells with the finish drawn, the hour of each change, why, and if colour decides. */
const props = defineProps<{
  lane: LaneSet
  depthM: number | undefined
  spells: readonly SpellShown[] | null
  /** Changes of this lane that are held by hand. */
  pins: readonly Pin[]
  steps: readonly (StepScores | null)[]
  /** Numbers of the packed finishes. */
  numberOf: (finishId: string) => number | null
  picked: number | null
  phone: boolean
  /** The lane that says so of the hours ashore, for all. */
  first: boolean
  height: number
}>()
const emit = defineEmits<{ pick: [spell: number]; edit: []; pin: [pin: Omit<Pin, 'lane'>, wasAtMin: number] }>()
const { light, xOf, minOf, width, namesPx, cursorMin } = useDayScale()
const stepMin = computed(() => {
  const [first] = light.value?.steps ?? []
  return first ? first.endMin - first.atMin : 30
})
const { lengthText } = useUnits()
/** A spell narrower than this shows no words of why; one narrower still no name. */
const [WHY_PX, NAME_PX, FIGURE_PX] = [330, 96, 44] as const
/** A short spell is still pressed with a finger. */
const FINGER_PX = 44
const where = computed(() => {
  if (props.lane.place === 'shade') return 'in the shade'
  if (props.depthM === undefined) return ''
  return props.depthM < 0.03 ? 'on top' : `${lengthText(props.depthM)} down`
})
/** Stretches ashore cut a spell in two that is fished on after them. */
const blocks = computed(() => {
  const steps = light.value?.steps ?? []
  return (props.spells ?? []).flatMap((s, spell) => {
    const finish = knownFinish(s.finishId)
    const out: { spell: number; from: number; to: number }[] = []
    for (let t = s.from; t < s.to; t++) {
      if (!steps[t] || steps[t]!.lightning) continue
      const last = out.at(-1)
      if (last && last.to === t) last.to = t + 1
      else out.push({ spell, from: t, to: t + 1 })
    }
    return out.map((b, i) => {
      const [fromMin, toMin] = [steps[b.from]!.atMin, steps[b.to - 1]!.endMin]
      const x = xOf(fromMin)
      const w = xOf(toMin) - x
      const hitW = Math.max(w, FINGER_PX)
      const hit = { hitW, hitX: Math.min(x, width.value - hitW) }
      const n = props.numberOf(s.finishId)
      return { ...s, ...b, ...hit, first: i === 0, fromMin, toMin, x, w, finish, n }
    })
  })
})
const ashore = computed(() => {
  const out: { x: number; w: number }[] = []
  for (const s of light.value?.steps ?? []) {
    if (!s.lightning) continue
    const last = out.at(-1)
    const [x, x2] = [xOf(s.atMin), xOf(s.endMin)]
    if (last && Math.abs(last.x + last.w - x) < 0.5) last.w = x2 - last.x
    else out.push({ x, w: x2 - x })
  }
  return out
})
/** Where one finish gives way to another: an edge that can be pulled to another hour, and is held there. */
const edges = computed(() => {
  const steps = light.value?.steps ?? []
  return (props.spells ?? []).slice(1).flatMap((after, i) => {
    const before = props.spells![i]!
    const [first, at, last] = [steps[before.from], steps[after.from], steps[after.to - 1]]
    if (!first || !at || !last) return []
    const held = props.pins.some(p => p.atMin === at.atMin && p.before === before.finishId)
    return [{ i, before, after, fromMin: first.atMin, atMin: at.atMin, toMin: last.endMin, held }]
  })
})
const pulled = ref<{ i: number; min: number } | null>(null)
const minOfEdge = (e: { i: number; atMin: number }) => (pulled.value?.i === e.i ? pulled.value.min : e.atMin)
const inSteps = (min: number) => nearest(light.value?.steps ?? [], min, s => s.atMin)?.atMin ?? min
type Edge = (typeof edges.value)[number]
/** An edge follows the finger and is held where it is let go; by keys each press is both. */
let underFinger = false
function pull(e: Edge, min: number) {
  pulled.value = { i: e.i, min: inSteps(min) }
  if (!underFinger) letGo(e)
}
function hold(e: Edge, on: boolean) {
  underFinger = on
  if (!on) letGo(e)
}
function letGo({ i, before, after, fromMin, atMin, toMin }: Edge) {
  const min = pulled.value?.i === i ? pulled.value.min : atMin
  pulled.value = null
  if (min !== atMin) {
    emit('pin', { fromMin, atMin: min, toMin, before: before.finishId, after: after.finishId }, atMin)
  }
}
const nameOf = (s: SpellShown) => knownFinish(s.finishId)?.name ?? s.finishId
const figureH = computed(() => Math.max(24, props.height - 38))
</script>

<template>
  <li class="flex border-t border-hair first:border-t-0">
    <button
      type="button"
      class="figure flex shrink-0 flex-col justify-center px-1 text-left leading-tight"
      :style="{ width: `${namesPx}px` }"
      :aria-label="`${LURE_SHORT[lane.lure]}, ${where}. Change this rod`"
      @click="emit('edit')"
    >
      <span class="mx-auto mb-0.5 block" :class="phone ? 'h-6 w-11' : 'h-7.5 w-16'">
        <Silhouette :lure="lane.lure" :chosen="false" />
      </span>
      <span class="narrow px-1 text-bar font-semibold" :class="phone ? 'text-small!' : ''">
        {{ LURE_SHORT[lane.lure] }}
      </span>
      <span v-if="!phone" class="px-1 font-sans text-note text-ink2">{{ where }}</span>
    </button>
    <div class="relative overflow-x-clip" :style="{ width: `${width}px`, height: `${height}px` }">
      <p v-if="spells && !spells.length" class="p-3 text-ink2">Nothing packed for this rod.</p>
      <div v-else-if="!spells" class="absolute inset-x-0 top-1 bottom-4 bg-sunk" />
      <button
        v-for="b in blocks"
        :key="`${b.spell}.${b.from}`"
        type="button"
        class="absolute top-0.5 bottom-3 text-left"
        :style="{ left: `${b.hitX}px`, width: `${b.hitW}px` }"
        :aria-pressed="picked === b.spell"
        :aria-label="`${clock(b.fromMin)} to ${clock(b.toMin)}: ${b.finish?.name}. ${b.why}`"
        @click="emit('pick', b.spell)"
      >
        <span
          class="relative flex items-center gap-2 overflow-hidden bg-plate"
          :class="picked === b.spell ? 'outline-2 -outline-offset-2 outline-ink' : ''"
          :style="{ height: `${figureH}px`, width: `${b.w}px`, left: `${b.x - b.hitX}px` }"
        >
          <span
            v-if="b.n !== null"
            :class="[
              'figure absolute top-0 left-0 flex h-5 min-w-5 items-center justify-center bg-ink px-1',
              'text-small font-bold text-page',
            ]"
          >
            {{ b.n }}
          </span>
          <span
            v-if="b.w > FIGURE_PX && b.finish"
            class="ml-5 block h-[88%] shrink-0"
            :style="{ width: `${Math.min(b.w - 24, figureH * 2.3)}px` }"
          >
            <HandFigure :finish="b.finish" :line="2" />
          </span>
          <span v-if="b.w > WHY_PX && !phone" class="line-clamp-2 pr-2 text-note leading-tight">{{ b.why }}</span>
        </span>
        <span v-if="b.w > FIGURE_PX" class="figure block truncate pl-1 text-small leading-5 font-semibold">
          <span v-if="b.first && b.spell > 0" class="pr-1.5 text-bar font-bold">{{ clock(b.fromMin) }}</span>
          <span v-if="b.w > NAME_PX">{{ b.finish?.name }}</span>
        </span>
      </button>
      <DragHandle
        v-for="e in edges"
        :key="`${e.before.finishId}.${e.after.finishId}.${e.i}`"
        :label="`Change from ${nameOf(e.before)} to ${nameOf(e.after)}${e.held ? ', held by you' : ''}`"
        :value="minOfEdge(e)"
        :min="e.fromMin + stepMin"
        :max="e.toMin - stepMin"
        :step="stepMin"
        :text="clock(minOfEdge(e))"
        :x="xOf(minOfEdge(e))"
        :y="height / 2"
        :w="FINGER_PX"
        :h="height"
        :move="(dx, _dy, from) => from + minOf(dx) - minOf(0)"
        @change="m => pull(e, m)"
        @held="on => hold(e, on)"
      >
        <b
          v-if="pulled?.i === e.i"
          class="figure pointer-events-none absolute top-0 left-1/2 ml-1 bg-ink px-1 text-small text-page"
        >
          {{ clock(pulled.min) }}
        </b>
        <svg :height="height" width="18" class="pointer-events-none" aria-hidden="true">
          <path :d="`M9 0V${height}`" stroke="var(--ink)" :stroke-width="pulled?.i === e.i ? 4 : 2" />
          <circle
            cx="9"
            :cy="height - 8"
            r="6"
            stroke="var(--ink)"
            stroke-width="2"
            :fill="e.held ? 'var(--ink)' : 'var(--page)'"
          />
        </svg>
      </DragHandle>
      <span
        v-for="a in ashore"
        :key="a.x"
        class="ashore absolute top-0 bottom-0"
        :style="{ left: `${a.x}px`, width: `${a.w}px` }"
      >
        <b
          v-if="first && a.w > 40"
          class="figure absolute inset-x-0 top-1/3 bg-page text-center text-small leading-tight"
        >
          off the water
        </b>
      </span>
      <InkBand class="absolute bottom-0.5 left-0" :steps="steps" />
      <span class="absolute top-0 bottom-0 w-px bg-ink" :style="{ left: `${xOf(cursorMin)}px` }" />
    </div>
  </li>
</template>

<style scoped>
.ashore {
  background: repeating-linear-gradient(105deg, transparent 0 9px, var(--hair) 9px 10px);
}
</style>
