<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed } from 'vue'
import { useFinish } from '~/box/useFinish'
import { changesToCome } from '~/log/trip'
import { useLogStore } from '~/log/store'
import HandFigure from '~/components/figure/HandFigure.vue'

/** What the plan ties on next: its hour, how long until then, and one tap once it is done. */
const props = defineProps<{ nowMs: number }>()
const log = useLogStore()
const { finishOf, finishName } = useFinish()
const next = computed(() => {
  const [first, ...others] = changesToCome(log.current!.body, log.taps)
  if (!first) return null
  const together = [first, ...others.filter(c => c.at === first.at)]
  const minutes = Math.round((Date.parse(first.at) - props.nowMs) / 60_000)
  const clock = DateTime.fromISO(first.at).toFormat('HH:mm')
  return { clock, minutes, together }
})
async function tiedOn() {
  const { rods } = log.current!.body
  for (const { rod, finishId } of next.value!.together) {
    const lure = finishOf(finishId)?.lure ?? rods[rod]!.lure
    await log.rig(rod, { ...rods[rod]!, lure, finishId })
  }
}
</script>

<template>
  <section v-if="next" class="flex items-stretch border-b-2 border-ink" aria-label="The next change">
    <div class="min-w-0 flex-1 px-4 py-2">
      <p class="figure text-lead leading-none font-bold">
        {{ next.clock }}
        <span class="text-name font-semibold">{{ next.minutes > 0 ? `in ${next.minutes} min` : 'now' }}</span>
      </p>
      <ul class="mt-1 flex gap-3">
        <li v-for="c in next.together" :key="c.rod" class="min-w-0">
          <span class="block h-10 w-22 bg-plate p-1">
            <HandFigure v-if="finishOf(c.finishId)" :finish="finishOf(c.finishId)!" :line="2.4" />
          </span>
          <span class="block truncate text-note">Rod {{ c.rod + 1 }}: {{ finishName(c.finishId) }}</span>
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
