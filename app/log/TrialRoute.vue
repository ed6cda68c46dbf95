<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { FishedSpell, Trial } from './trial'

/**
 * The order of a fair test as a route: a lane for each of the two things, or, where two fish it together, for each
 * angler, the strands of the two things crossing at every swap. Strokes are bites on the cast they came on.
 */
const props = defineProps<{
  trial: Trial
  per: number
  /** Names of the anglers; one without a name where one fishes alone. */
  crew: readonly string[]
  names: Record<'a' | 'b', string>
  short?: boolean
}>()
const box = ref<HTMLElement | null>(null)
const { width } = useElementSize(box)
/** Turns drawn at most, and of them so many past. */
const [MOST, PAST] = [24, 16] as const
const two = computed(() => props.crew.length === 2)
const first = computed(() =>
  props.trial.turns <= MOST
    ? 0
    : Math.min(props.trial.turns - MOST, Math.max(0, (props.trial.now ?? props.trial.turns) - PAST)),
)
const turns = computed(() => Math.min(MOST, props.trial.turns))
const LEFT = computed(() => (two.value ? 74 : 8))
const step = computed(() => (width.value - LEFT.value - 8) / turns.value)
const x = (turn: number) => LEFT.value + (turn - first.value) * step.value
const [LANE, GAP, STROKE] = [58, 42, 34] as const
const laneY = (lane: number) => (two.value ? 46 : 6) + lane * (LANE + GAP)
const height = computed(() => (two.value ? 200 : laneY(1) + LANE + 22))
const shown = computed(() =>
  props.trial.spells.filter(s => s.turn >= first.value && s.turn < first.value + turns.value),
)
const laneOf = (s: FishedSpell) => (two.value ? s.who : Number(s.side === 'b'))
const blocks = computed(() => [...new Set(shown.value.map(s => s.block))])
const blockX = (block: number) => x(shown.value.find(s => s.block === block)!.turn)
/** Where a bite stands in its spell. */
const biteX = (s: FishedSpell, cast: number) => x(s.turn) + step.value * (0.1 + (0.8 * (cast - 0.5)) / props.per)
const begun = (s: FishedSpell) => s.casts > 0 || s.turn === props.trial.now
/** The strand of one of the two things past or to come, swapping lanes between turns. */
function strand(side: 'a' | 'b', past: boolean): string {
  const mine = shown.value.filter(s => s.side === side && begun(s) === past)
  const y = (s: FishedSpell) => laneY(s.who) + LANE / 2 - 20
  return mine
    .map((s, i) => {
      const [from, to] = [x(s.turn), x(s.turn + 1)]
      const before = mine[i - 1] ?? shown.value.find(o => o.side === side && o.turn === s.turn - 1)
      const bend = step.value * 0.22
      const into =
        before && y(before) !== y(s)
          ? `M${from - bend} ${y(before)}C${from} ${y(before)} ${from} ${y(s)} ${from + bend} ${y(s)}`
          : `M${from} ${y(s)}`
      const next = shown.value.find(o => o.side === side && o.turn === s.turn + 1)
      return `${into}H${next && y(next) !== y(s) ? to - bend : to}`
    })
    .join('')
}
const strandsOf = (past: boolean) => (['a', 'b'] as const).map(side => ({ side, path: strand(side, past) }))
const nowX = computed(() => {
  const { now, spells } = props.trial
  if (now === null) return null
  const casts = Math.max(...spells.filter(s => s.turn === now).map(s => s.casts))
  return x(now) + (step.value * casts) / props.per
})
</script>

<template>
  <section aria-label="The order and its bites">
    <div ref="box" class="w-full">
      <svg v-if="width" :width="width" :height="height" class="block" aria-hidden="true">
        <rect
          v-for="b in blocks.filter(n => n % 2)"
          :key="b"
          :x="blockX(b)"
          y="0"
          :width="2 * step"
          :height="height"
          fill="var(--sunk)"
        />
        <template v-if="two">
          <g v-for="past in [false, true]" :key="String(past)" fill="none">
            <template v-for="s in strandsOf(past)" :key="s.side">
              <path
                :d="s.path"
                stroke="var(--ink)"
                :stroke-width="past ? 8 : 2"
                :stroke-dasharray="past ? undefined : s.side === 'a' ? '7 5' : '2 4'"
              />
              <path v-if="past && s.side === 'b'" :d="s.path" stroke="var(--page)" stroke-width="4.5" />
            </template>
          </g>
          <text
            v-for="(name, who) in crew"
            :key="who"
            x="0"
            :y="laneY(who) + LANE / 2 - 14"
            class="figure text-note font-semibold"
            fill="var(--ink)"
          >
            {{ name.slice(0, 9) }}
          </text>
          <g v-for="s in shown" :key="`${s.turn} ${s.who}`" stroke="var(--ink)" stroke-width="3">
            <path
              v-for="(cast, i) in s.biteCasts"
              :key="i"
              :d="`M${biteX(s, cast)} ${s.who ? laneY(1) + 26 : laneY(0) - 30}v20`"
            />
          </g>
          <path v-if="nowX !== null" :d="`M${nowX} 4V${height - 4}`" stroke="var(--ink)" stroke-width="2" />
        </template>
        <template v-else>
          <g v-for="s in shown" :key="s.turn" fill="none">
            <path
              v-if="s.turn > first"
              :d="`M${x(s.turn)} ${laneY(0) + LANE}V${laneY(1)}`"
              :stroke="begun(s) ? 'var(--ink)' : 'var(--hair)'"
            />
            <rect
              :x="x(s.turn) + 2"
              :y="laneY(laneOf(s))"
              :width="Math.max(1, step - 4)"
              :height="LANE"
              :fill="s.spoils.length ? 'var(--hair)' : 'none'"
              :stroke="begun(s) ? 'var(--ink)' : 'var(--hair)'"
              :stroke-width="s.turn === trial.now ? 3 : 1.4"
              :stroke-dasharray="begun(s) ? undefined : '4 3'"
            />
            <rect
              v-if="s.casts"
              :x="x(s.turn) + step * 0.1"
              :y="laneY(laneOf(s)) + LANE - 9"
              :width="(step * 0.8 * s.casts) / per"
              height="5"
              fill="var(--ink2)"
            />
            <path
              v-for="(cast, i) in s.biteCasts"
              :key="i"
              :d="`M${biteX(s, cast)} ${laneY(laneOf(s)) + LANE - 12}v${-STROKE}`"
              stroke="var(--ink)"
              stroke-width="3"
            />
            <text
              v-if="s.bites"
              :x="x(s.turn) + step / 2"
              :y="laneY(laneOf(s)) + LANE + 16"
              text-anchor="middle"
              class="figure text-note font-semibold"
              fill="var(--ink)"
            >
              {{ s.bites }}
            </text>
          </g>
        </template>
      </svg>
    </div>
    <table class="off">
      <caption>The order and its bites</caption>
      <tr v-for="s in shown.filter(o => o.casts || o.turn === trial.now)" :key="`${s.turn} ${s.who}`">
        <th scope="row">Spell {{ s.turn + 1 }}{{ two ? `, ${crew[s.who]}` : '' }}</th>
        <td>{{ names[s.side] }}</td>
        <td>{{ s.casts }} casts, {{ s.bites }} bites{{ s.spoils.length ? ', spoilt' : '' }}</td>
      </tr>
    </table>
    <p v-if="!short" class="text-note text-ink2">
      <template v-if="two">
        Solid: {{ names.a }}; hollow: {{ names.b }}. Both change hands at every swap; a stroke is a bite, shaded a
        block.
      </template>
      <template v-else>
        Upper {{ names.a }}, lower {{ names.b }}; pairs of spells, order drawn in each; a tall stroke is a bite, filled
        was spoilt.
      </template>
    </p>
  </section>
</template>
