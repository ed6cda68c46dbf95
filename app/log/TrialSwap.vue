<script setup lang="ts">
import { computed } from 'vue'
import { useFinish } from '~/box/useFinish'
import { useLogStore } from './store'
import { type Trial, spellOf } from './trial'
import { counted } from '~/words/numbers'
import HandFigure from '~/figures/HandFigure.vue'

/** How many casts are left of this turn; once all are made, one tap says that the rods were changed. */
const props = defineProps<{ trial: Trial; per: number; crew: readonly string[]; names: Record<'a' | 'b', string> }>()
const log = useLogStore()
const { finishOf } = useFinish()
const two = computed(() => props.crew.length === 2)
const left = computed(() =>
  props.crew.map((name, who) => ({ name, casts: props.per - (spellOf(props.trial, who)?.casts ?? props.per) })),
)
const now = computed(() => props.trial.now!)
const sideIn = (turn: number) => props.trial.spells.find(s => s.turn === turn && s.who === 0)?.side ?? null
/** What the first angler has next, and whether that is another thing than now. */
const next = computed(() => sideIn(props.trial.swap ? now.value : now.value + 1))
const same = computed(() => next.value === sideIn(props.trial.swap ? now.value - 1 : now.value))
const finish = computed(() =>
  next.value ? finishOf(log.current!.body.rods[next.value === 'a' ? 0 : 1]!.finishId) : null,
)
const then = computed(() => {
  if (!next.value) return 'then it is done.'
  if (two.value) return same.value ? 'then go on with the same; change ends of the boat.' : 'then swap.'
  return same.value ? 'then go on with the same.' : `then tie on ${props.names[next.value]}.`
})
const waiting = computed(() => {
  const done = left.value.find(l => l.casts === 0)
  const other = left.value.find(l => l.casts > 0)
  return two.value && done && other
    ? `${done.name} waits: ${other.name} has ${counted(other.casts, 'cast')} left, `
    : ''
})
const words = computed(() => {
  if (waiting.value) return waiting.value + then.value
  if (two.value) return `${left.value.map(l => `${l.name} ${l.casts}`).join(', ')} more, ${then.value}`
  return `${counted(left.value[0]!.casts, 'more cast')}, ${then.value}`
})
const done = computed(() => {
  if (same.value) return two.value ? 'Ends changed, go on' : 'Go on with it'
  return two.value ? 'Swapped' : 'Tied on'
})
/** The rods as the order has them from here on, each in its angler's hand. */
async function swapped() {
  for (const who of props.crew.keys())
    await log.tap('rod', { who, rod: Number(spellOf(props.trial, who)!.side === 'b'), drawn: true })
}
</script>

<template>
  <section
    class="flex items-stretch border-b-2 border-ink"
    :class="trial.swap ? 'bg-accent text-on-accent' : 'bg-sunk'"
    aria-label="The next change"
  >
    <svg v-if="two" width="56" height="48" class="my-2 ml-3 shrink-0" aria-hidden="true" fill="none">
      <path d="M2 12h10c14 0 18 24 32 24h10" stroke="currentColor" stroke-width="7" />
      <path d="M2 36h10c14 0 18-24 32-24h10" stroke="currentColor" stroke-width="7" />
      <path d="M2 36h10c14 0 18-24 32-24h10" stroke="var(--sunk)" stroke-width="3.5" />
    </svg>
    <span v-else-if="finish" class="m-2 block h-11 w-22 shrink-0 bg-plate p-1 text-ink">
      <HandFigure :finish="finish" :line="2.4" />
    </span>
    <p class="min-w-0 flex-1 self-center px-3 py-2 leading-snug" role="status">
      <template v-if="trial.swap && two">
        <b>{{ same ? 'Change ends of the boat, same rods.' : 'Swap rods.' }}</b>
        {{ crew.map((name, who) => `${name}: ${names[spellOf(trial, who)!.side]}`).join('; ') }}.
      </template>
      <b v-else-if="trial.swap">
        {{ same ? `${names[next!]} again, drawn so.` : `Tie on ${names[next!]}.` }}
      </b>
      <template v-else>{{ words }}</template>
    </p>
    <button
      v-if="trial.swap"
      type="button"
      class="figure min-h-14 min-w-28 border-l-2 border-on-accent px-4 text-value font-bold"
      @click="swapped"
    >
      {{ done }}
    </button>
  </section>
</template>
