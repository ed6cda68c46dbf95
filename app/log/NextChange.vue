<script setup lang="ts">
import { computed } from 'vue'
import { MINUTE_MS } from '#core/units'
import { useFinish } from '~/box/useFinish'
import { useLogStore } from './store'
import type { useRestOfDay } from './useRestOfDay'
import HandFigure from '~/figures/HandFigure.vue'

/**
 * What is tied on next by the plan, else where the first pick changes: its hour, how long until then, why, and one tap
 * once it is done.
 */
const props = defineProps<{
  nowMs: number
  rest: ReturnType<typeof useRestOfDay>
  /** Where room is short, a change that no plan asked for is told of when it is near. */
  near?: boolean
}>()
const NEAR_MIN = 60
const log = useLogStore()
const { finishOf, finishName } = useFinish()
const next = computed(() => {
  const { toCome, changes, clockAt } = props.rest
  const told = changes.value ?? []
  const planned = toCome.value.length > 0
  const [first, ...others] = planned ? toCome.value : told
  const minutes = first ? Math.round((Date.parse(first.at) - props.nowMs) / MINUTE_MS) : 0
  if (!first || (props.near && !planned && minutes > NEAR_MIN)) return null
  const together = [first, ...others.filter(c => c.at === first.at)].map(c => ({
    ...c,
    why: told.find(t => t.rod === c.rod && t.finishId === c.finishId)?.why ?? '',
  }))
  return {
    planned,
    clock: clockAt(first.at),
    minutes,
    together,
  }
})
const until = computed(() => {
  const { minutes } = next.value!
  if (minutes <= 0) return 'now'
  return minutes < 120 ? `in ${minutes} min` : `in ${Math.round(minutes / 60)} hours`
})
async function tiedOn() {
  const { rods } = props.rest
  for (const { rod, finishId } of next.value!.together) {
    const lure = finishOf(finishId)?.lure ?? rods.value[rod]!.lure
    await log.rig(rod, { ...rods.value[rod]!, lure, finishId }, [finishId])
  }
}
</script>

<template>
  <section v-if="next" class="flex items-stretch border-b-2 border-ink" aria-label="The next change">
    <div class="min-w-0 flex-1 px-4 py-2">
      <p class="figure flex flex-wrap items-baseline gap-x-3 text-lead leading-none font-bold">
        {{ next.clock }}
        <span class="text-name font-semibold">{{ until }}</span>
        <span class="text-note font-normal text-ink2">
          {{ next.planned ? 'the next change' : 'the first pick changes' }}
        </span>
      </p>
      <ul class="mt-1 flex flex-wrap gap-x-5 gap-y-1">
        <li v-for="c in next.together" :key="c.rod" class="flex min-w-0 items-center gap-3">
          <span class="block h-10 w-22 shrink-0 bg-plate p-1">
            <HandFigure v-if="finishOf(c.finishId)" :finish="finishOf(c.finishId)!" :line="2.4" />
          </span>
          <span class="min-w-0 leading-tight">
            <b class="block text-note">Rod {{ c.rod + 1 }}: {{ finishName(c.finishId) }}</b>
            <span v-if="c.why" class="block text-note max-lg:hidden">{{ c.why }}</span>
          </span>
        </li>
      </ul>
    </div>
    <button
      type="button"
      class="figure min-w-24 border-l-2 border-ink px-4 text-value font-bold"
      :class="next.minutes > 0 ? '' : 'bg-accent text-on-accent'"
      @click="tiedOn"
    >
      Tied on
    </button>
  </section>
</template>
