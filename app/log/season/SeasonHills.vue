<script setup lang="ts">
import { computed } from 'vue'
import { type Effect, sureVerdictOf } from '#core/season-learning/effect'
import { useFinish } from '~/box/useFinish'
import { useEffectNames } from './useEffectNames'
import { counted } from '~/words/numbers'
import HandFigure from '~/figures/HandFigure.vue'
import SeasonHill from './SeasonHill.vue'

/** What was fished beside its fellows, best first, lure by lure or water by water. */
const props = defineProps<{ effects: readonly Effect[] }>()
const { finishOf } = useFinish()
const { nameOf, groupNameOf } = useEffectNames()
const groups = computed(() => {
  const out = new Map<string, Effect[]>()
  for (const e of props.effects) {
    const name = groupNameOf(e)
    const of = out.get(name)
    if (of) of.push(e)
    else out.set(name, [e])
  }
  return [...out].map(([name, of]) => ({
    name,
    hours: of.reduce((s, e) => s + e.hours, 0),
    bites: of.reduce((s, e) => s + e.bites, 0),
    effects: [...of].sort((a, b) => b.times - a.times),
  }))
})
const isFinish = (e: Effect) => e.level === 'finish'
function verdict(e: Effect): string {
  if (!e.says) return 'too little fished to say'
  const sure = sureVerdictOf(e)
  if (sure) return sure
  return e.moreBites === null ? 'too few to say' : `about ${e.moreBites} more bites to say`
}
const isSure = (e: Effect) => sureVerdictOf(e) !== null
const short = (v: number) => v.toFixed(v < 9.95 ? 2 : 0)
const figures = (e: Effect) => `${short(e.times)} times, ${short(e.low)} to ${short(e.high)}`
</script>

<template>
  <div v-for="g in groups" :key="g.name" class="border-t border-ink2 pt-1">
    <h4 v-if="isFinish(g.effects[0]!)" class="figure flex gap-2">
      <b>{{ g.name }}</b>
      <span class="text-ink2">{{ g.hours.toFixed(1) }} h, {{ counted(g.bites, 'bite') }}</span>
    </h4>
    <ul>
      <li
        v-for="e in g.effects"
        :key="`${e.level} ${e.within} ${e.id}`"
        class="flex items-center gap-x-2 py-0.5 max-sm:flex-wrap"
      >
        <span v-if="isFinish(e)" class="block h-9 w-18 shrink-0 bg-plate p-0.5">
          <HandFigure v-if="finishOf(e.id)" :finish="finishOf(e.id)!" :line="2.6" />
        </span>
        <span class="shrink-0 leading-tight max-sm:min-w-0 max-sm:flex-1" :class="isFinish(e) ? 'w-34' : 'w-54'">
          {{ nameOf(e) }}
          <span class="figure block text-note text-ink2">
            {{ e.hours.toFixed(1) }} h, {{ counted(e.bites, 'bite') }}
          </span>
        </span>
        <SeasonHill :effect="e" class="min-w-16 flex-1 max-sm:order-last max-sm:basis-full" />
        <span class="w-42 shrink-0 text-right text-note leading-tight">
          <b class="figure block" :class="isSure(e) ? '' : 'font-normal'">{{ e.says ? figures(e) : '–' }}</b>
          <span :class="isSure(e) ? 'font-bold' : ''">{{ verdict(e) }}</span>
        </span>
      </li>
    </ul>
  </div>
</template>
