<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Effect } from '#core/season-learning/effect'
import { SCHOOLS } from '#core/words/schools'
import { useFinish } from '~/box/useFinish'
import { loggedTrip } from '~/log/seasonLog'
import { useLogStore } from '~/log/store'
import { type Tap, type Trip, tapsByTrip } from '~/log/trip'
import { useSeason } from '~/log/useSeason'
import { download } from '~/settings/download'
import { useTaughtStore } from '~/log/taught'
import { useRecordsStore } from '~/records/store'
import { useSettingsStore } from '~/settings/store'
import { useUnits } from '~/settings/useUnits'
import { LURE_SHORT, cap } from '~/words/options'
import { counted } from '~/words/numbers'
import FirstFive from './FirstFive.vue'
import LookThrough from '~/components/made-up/LookThrough.vue'
import HandFigure from '~/components/figure/HandFigure.vue'

/**
 * What the log has taught: finishes beside the rods that were in hand in the same half-hours, spots and light, and
 * whether it has earned the schools other weights; rankings lean on it where the angler turns that on.
 */
const props = defineProps<{ trips: readonly Trip[]; taps: readonly Tap[] }>()
const log = useLogStore()
const settings = useSettingsStore()
const records = useRecordsStore()
const { finishOf, finishName } = useFinish()
const nowMs = Date.now()
const logged = computed(() => {
  const of = tapsByTrip(props.taps)
  return props.trips.filter(t => t.id !== log.current?.id).map(t => loggedTrip(t, of(t.id), nowMs))
})
const { answer, progress, failed, stopped, stop, read, poolShare } = useSeason(
  () => logged.value,
  () => settings.units,
)
const taught = useTaughtStore()
const givePool = async () => download('share.json', 'application/json', JSON.stringify(await poolShare(), null, 2))
// What it says goes to the other places, as marks, and as far as it is let in.
watch(answer, told => told && taught.keep(told))

const spots = computed(() => new Map(records.list('spot').map(s => [s.id, s.body.name])))
const waters = computed(() => new Map(records.list('water').map(w => [w.id, w.body.name])))
const { lengthText } = useUnits()
const BANDS = computed<Readonly<Record<string, string>>>(() => ({
  'under-0.6': `Disc under ${lengthText(0.6)}`,
  '0.6-2': `Disc ${lengthText(0.6)} to ${lengthText(2)}`,
  'over-2': `Disc over ${lengthText(2)}`,
}))
function nameOf({ level, id, within }: Effect): string {
  if (level === 'finish') return finishName(id)
  if (level === 'look') return id
  if (level === 'lure') return cap(LURE_SHORT[id as keyof typeof LURE_SHORT] ?? id)
  if (level === 'spot')
    return [spots.value.get(id), waters.value.get(within ?? '')].filter(Boolean).join(', ') || 'A spot'
  if (level === 'clarity') return BANDS.value[id] ?? id
  return level === 'light' ? 'Low light' : cap(id)
}
/** What stands in the picture: each group that has something in it. */
const groups = computed(() => {
  const of = (levels: Effect['level'][]) => (answer.value?.effects ?? []).filter(e => levels.includes(e.level))
  return [
    { words: 'Finishes, beside the rods in hand in the same half-hour', effects: of(['finish']) },
    { words: 'Lures, the same way', effects: of(['lure']) },
    { words: 'Spots and conditions, on the days you went', effects: of(['spot', 'light', 'clarity', 'phase']) },
  ].filter(g => g.effects.length)
})
/** The picture runs from a quarter to four times, by doublings. */
const DOUBLINGS = 2
const at = (times: number) =>
  `${50 + (50 * Math.max(-DOUBLINGS, Math.min(DOUBLINGS, Math.log2(Math.max(1e-3, times))))) / DOUBLINGS}%`
const isSure = (e: Effect) => e.says !== null && (e.chanceBetter >= 0.9 || e.chanceBetter <= 0.1)
function verdict(e: Effect): string {
  if (!e.says) return 'too little fished to say'
  if (e.chanceBetter >= 0.9) return 'better'
  if (e.chanceBetter <= 0.1) return 'worse'
  return e.moreBites === null ? 'too few to say' : `too few to say: about ${e.moreBites} more bites`
}
const short = (v: number) => v.toFixed(v < 9.95 ? 2 : 0)
const figures = (e: Effect) => `${short(e.times)} times, ${short(e.low)} to ${short(e.high)}`
const lureOf = (e: Effect) => (e.level === 'finish' ? `${cap(LURE_SHORT[e.within as keyof typeof LURE_SHORT])}, ` : '')
const share = computed(() => (progress.value ? progress.value.done / Math.max(1, progress.value.total) : 0))
const weights = computed(() => answer.value?.weights ?? null)
</script>

<template>
  <section aria-label="What the log has taught" class="leading-snug">
    <h2 class="figure text-lead font-bold">What the log has taught</h2>
    <template v-if="!logged.length">
      <p class="pb-2">
        Nothing yet. Fish two rods in the same half-hour at the same spot, and swap them: that is what it learns from.
      </p>
      <LookThrough />
    </template>
    <template v-else>
      <p v-if="failed" role="status" class="my-2 border border-ink p-2">
        It could not be worked out just now.
        <button type="button" class="min-h-11 px-2 underline" @click="read()">Try again</button>
      </p>
      <p v-if="progress" role="status" class="my-2 flex items-center gap-3">
        <progress class="h-2 flex-1" :value="share" max="1" aria-label="Half-hours ranked" />
        <span class="figure text-note">{{ progress.done }} of {{ progress.total }} half-hours</span>
        <button type="button" class="min-h-11 px-2 underline" @click="stop()">Stop</button>
      </p>
      <p v-if="stopped">
        Stopped.
        <button type="button" class="min-h-11 px-2 underline" @click="read()">Work it out</button>
      </p>
    </template>
    <template v-if="answer">
      <p>
        {{ counted(answer.used.comparedBites, 'bite') }} of {{ answer.used.bites }} came with another rod tried beside
        it, on {{ counted(answer.used.trips, 'trip') }}.
        <template v-if="answer.used.leftOut.length">
          {{ counted(answer.used.leftOut.length, 'trip') }} written down afterwards left out: remembered days are good
          days.
        </template>
      </p>
      <p v-for="s in answer.says" :key="s.text" class="mt-1 border-l-2 border-ink pl-2">{{ s.text }}</p>
      <div v-for="g in groups" :key="g.words" class="mt-4">
        <h3 class="figure text-value font-bold">{{ g.words }}</h3>
        <ul>
          <li
            v-for="e in g.effects"
            :key="`${e.level} ${e.within} ${e.id}`"
            class="flex items-center gap-2 border-t border-hair py-1 max-sm:flex-wrap"
          >
            <span v-if="e.level === 'finish'" class="block h-9 w-18 shrink-0 bg-plate p-0.5">
              <HandFigure v-if="finishOf(e.id)" :finish="finishOf(e.id)!" :line="2.6" />
            </span>
            <span class="w-48 shrink-0 leading-tight max-sm:w-auto max-sm:min-w-0 max-sm:flex-1">
              {{ nameOf(e) }}
              <span class="figure block text-note text-ink2">
                {{ lureOf(e) }}{{ e.hours.toFixed(1) }} h, {{ counted(e.bites, 'bite') }}
              </span>
            </span>
            <span
              class="relative block h-6 min-w-16 flex-1 overflow-hidden max-sm:order-last max-sm:basis-full"
              aria-hidden="true"
            >
              <span class="absolute inset-y-0 left-1/2 w-px bg-ink2" />
              <span
                class="absolute top-1/2 -translate-y-1/2 bg-ink"
                :class="isSure(e) ? 'h-1.5' : 'h-px'"
                :style="{ left: at(e.low), right: `calc(100% - ${at(e.high)})` }"
              />
              <span
                class="absolute top-1/2 h-3.5 w-3.5 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-ink"
                :class="isSure(e) ? 'bg-ink' : 'bg-page'"
                :style="{ left: at(e.times) }"
              />
            </span>
            <span class="w-44 shrink-0 text-right text-note leading-tight max-sm:w-28">
              <b class="figure block">{{ e.says ? figures(e) : '–' }}</b>
              {{ verdict(e) }}
            </span>
          </li>
        </ul>
      </div>
      <p v-if="groups.length" class="mt-1 text-note text-ink2">
        The line is “as good as its fellows”; to its right twice and four times as good. Solid: sure nine times in ten.
      </p>
      <div class="mt-4 border-y border-ink py-2">
        <label class="flex min-h-11 items-center gap-3 font-semibold">
          <input
            v-model="settings.leanOnLog"
            type="checkbox"
            class="size-6 accent-(--ink)"
            :disabled="!taught.mayLean || records.isMadeUp"
          />
          Lean on my log
        </label>
        <p class="text-ink2">
          <template v-if="taught.mayLean">
            Lists and plans then lean by as much as the log has earned and no more, and say so. Never a bite by itself.
          </template>
          <template v-else>
            Not yet: it needs 60 bites with another rod tried beside, on 8 trips. Marks in Water come before that.
          </template>
        </p>
      </div>
      <FirstFive v-if="taught.mayLean" class="mt-4" :shifts="taught.shifts" />
      <p v-if="answer.used.comparedBites && !records.isMadeUp" class="mt-2 flex flex-wrap items-center gap-3">
        <button type="button" class="quiet" @click="givePool">A share for a pool</button>
        <span class="min-w-48 flex-1 text-ink2">
          A file with how your bites pull at the schools’ weights, and nothing of places, times or lures. Many are added
          up by npm run pool.
        </span>
      </p>
      <div v-if="weights && answer.used.comparedBites" class="mt-4">
        <h3 class="figure text-value font-bold">Which way of thinking has earned more weight</h3>
        <p>
          Evidence against the weights as they are:
          <b class="figure">{{ weights.evidence.toFixed(1) }}</b>
          . A change is earned at 20; before that luck does as well.
        </p>
        <table class="mt-1 w-full text-note">
          <thead>
            <tr class="border-b border-ink text-left">
              <th scope="col" class="py-1 font-bold">School</th>
              <th scope="col" class="figure text-right font-bold">leans, eight in ten</th>
              <th scope="col" class="figure text-right font-bold">bites that tell</th>
              <th scope="col" class="figure text-right font-bold">the prior's</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="s in weights.schools" :key="s.id" class="border-b border-hair">
              <th scope="row" class="py-1 text-left font-normal">
                {{ SCHOOLS[s.id].words }}
                <span v-if="s.togetherWith.length" class="text-ink2">
                  (not to be parted from {{ s.togetherWith.map(t => SCHOOLS[t].words.toLowerCase()).join(', ') }})
                </span>
              </th>
              <td class="figure text-right">
                {{ (s.delta - 1.28 * s.sd).toFixed(2) }} to {{ (s.delta + 1.28 * s.sd).toFixed(2) }}
              </td>
              <td class="figure text-right">{{ Math.round(s.evidenceBites) }}</td>
              <td class="figure text-right">{{ s.priorBites }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </section>
</template>
