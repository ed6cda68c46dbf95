<script setup lang="ts">
import { keptText } from '#shared/text'
import { useNow } from '@vueuse/core'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useFinish } from '~/box/useFinish'
import { useRigAsk } from '~/log/rig/useRigAsk'
import { useRigOrders } from '~/log/rig/useRigOrders'
import { useLogStore } from './store'
import { bitesOf, byRod, crewOf, isPaused, rodNow, rodsNow } from './trip'
import { counted } from '~/words/numbers'
import { CLUE_OPTIONS, ROD_NAMES } from '~/words/options'
import Choice from '~/common/Choice.vue'
import HandFigure from '~/figures/HandFigure.vue'
import CarriedRows from './CarriedRows.vue'
import CrewTargets from './CrewTargets.vue'
import NextChange from './NextChange.vue'
import DrawnRod from './DrawnRod.vue'
import LastTap from './LastTap.vue'
import RestOfDay from './RestOfDay.vue'
import type { useRestOfDay } from './useRestOfDay'
import LogTargets from './LogTargets.vue'
import RodRow from './RodRow.vue'
import TodayPicture from './TodayPicture.vue'
import TapList from './TapList.vue'

defineProps<{ phone: boolean; rest: ReturnType<typeof useRestOfDay> }>()
// Who has a crew asks for it; nobody waits for it to tap.
const CrewAboard = defineAsyncComponent(() => import('./CrewAboard.vue'))

/** The trip under way: rods, targets, what was tapped last, and what changed. */
const log = useLogStore()
const { finishOf, finishName } = useFinish()
const now = useNow({ interval: 10_000 })
const trip = computed(() => log.current!.body)
const rods = computed(() => rodsNow(trip.value, log.taps))
const tallies = computed(() => byRod(trip.value, log.taps, now.value.getTime()))
const tally = computed(() => tallies.value[log.rod]!)
const minutes = computed(() => Math.floor((now.value.getTime() - Date.parse(trip.value.startedAt)) / 60_000))
const clues = [{ value: 'none', words: 'What was seen?' }, ...CLUE_OPTIONS]
const word = ref('')
async function say() {
  if (word.value.trim()) await log.tap('word', { text: keptText(word.value.trim(), 500) })
  word.value = ''
}
const changing = ref(false)
const crew = computed(() => crewOf(trip.value))
const paused = computed(() => isPaused(log.taps))
/** Change what an angler fishes: another rod, or another lure on it. */
function changeOf(who: number) {
  changing.value = !changing.value || log.who !== who
  log.who = who
}
/** The rod that is changed: that of whoever asked. */
const theirs = computed(() => rodNow(log.taps, log.who))
const askOf = useRigAsk()
const { orders } = useRigOrders(() => (changing.value ? [askOf(rods.value[theirs.value]!.lure)] : []))
const order = computed(() => orders.value[rods.value[theirs.value]!.lure]?.order.map(o => o.finishId) ?? [])
/** Thousands of taps are not drawn before they are looked at. */
const listed = ref(false)
</script>

<template>
  <section aria-label="The trip">
    <p class="figure flex items-center justify-between border-b-2 border-ink px-4 py-2">
      <b class="text-lead">{{ trip.name || 'On the water' }}</b>
      <span class="flex items-center gap-3">
        {{ minutes }} min
        <button type="button" class="quiet" :aria-pressed="paused" @click="log.tap(paused ? 'resume' : 'pause')">
          {{ paused ? 'Fish on' : 'Pause' }}
        </button>
      </span>
    </p>
    <template v-if="phone">
      <NextChange :now-ms="now.getTime()" :rest="rest" near />
      <TodayPicture :now-ms="now.getTime()" :rest="rest" strip />
    </template>
    <CrewTargets v-if="crew.length > 1" :names="crew" :rods="rods" @change="changeOf" />
    <ul v-else class="grid grid-cols-3 border-b-2 border-ink" aria-label="Rods">
      <li v-for="(r, i) in rods" :key="i" class="border-r border-ink last:border-0">
        <button
          type="button"
          class="block w-full text-left leading-tight"
          :class="log.rod === i ? 'bg-ink text-page' : ''"
          :aria-pressed="log.rod === i"
          @click="log.rod === i || log.tap('rod', { rod: i })"
        >
          <!-- A layer of its own: a tap beside it need not draw it again. -->
          <span class="block h-14 bg-plate p-1 will-change-transform">
            <HandFigure v-if="finishOf(r.finishId)" :finish="finishOf(r.finishId)!" :line="2" />
          </span>
          <b class="figure block px-2 pt-1">{{ ROD_NAMES[i] }}</b>
          <span class="block truncate px-2 text-note">{{ finishName(r.finishId) }}</span>
          <span class="figure block px-2 pb-1 text-note">
            {{ Math.floor(tallies[i]!.minutes) }} min, {{ counted(bitesOf(tallies[i]!), 'bite') }}
          </span>
        </button>
      </li>
    </ul>
    <LogTargets v-if="crew.length < 2" :tally="tally" />
    <LastTap />
    <RestOfDay v-if="phone" :rest="rest" />
    <DrawnRod v-if="crew.length < 2" :now-ms="now.getTime()" />
    <div class="p-4">
      <p class="flex flex-wrap items-center gap-2">
        <Choice
          label="Clue seen"
          value="none"
          :options="clues"
          @change="v => v !== 'none' && log.tap('clue', { clue: v as (typeof CLUE_OPTIONS)[number]['value'] })"
        />
        <button type="button" class="quiet" :aria-expanded="changing" @click="changing = !changing">
          Rig {{ crew.length > 1 ? `${crew[log.who]}’s rod` : 'this rod' }} anew
        </button>
      </p>
      <p v-if="changing && crew.length > 1" class="flex flex-wrap gap-2 py-2" role="group" aria-label="Takes the rod">
        <button
          v-for="(r, i) in rods"
          :key="i"
          type="button"
          class="quiet"
          :aria-pressed="theirs === i"
          @click="theirs === i || log.tap('rod', { rod: i, who: log.who })"
        >
          Rod {{ i + 1 }}: {{ finishName(r.finishId) }}
        </button>
      </p>
      <RodRow
        v-if="changing"
        :name="ROD_NAMES[theirs]!"
        :rod="rods[theirs]!"
        :may="['lure', 'finish', 'line', 'size']"
        own
        :order="order"
        @change="
          rod =>
            log.rig(
              theirs,
              rod,
              orders[rod.lure]?.order.map(o => o.finishId),
            )
        "
      />
      <form class="mt-2 flex gap-2" @submit.prevent="say">
        <input
          v-model="word"
          class="h-11 min-w-0 flex-1 border border-ink px-2"
          maxlength="500"
          aria-label="A word about it"
          placeholder="A word about it"
        />
        <button type="submit" class="quiet">Note it</button>
      </form>
      <CarriedRows class="mt-2" />
      <CrewAboard />
      <details class="mt-3" @toggle="listed = ($event.target as HTMLDetailsElement).open">
        <summary class="min-h-11 cursor-pointer py-2 font-semibold">
          Timeline, {{ counted(log.taps.length, 'tap') }}
        </summary>
        <TapList v-if="listed" :taps="log.taps" />
      </details>
      <button type="button" class="quiet mt-2" @click="log.end()">End the trip</button>
    </div>
  </section>
</template>
