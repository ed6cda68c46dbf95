<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Effect } from '#core/season-learning/effect'
import { LEAST_LEANED } from '#core/season-learning/weights'
import { loggedTrip } from '~/log/seasonLog'
import { useLogStore } from '~/log/store'
import { tapsByTrip } from '~/log/trip'
import { useSeason } from './useSeason'
import { useTaughtStore } from '~/records/taught'
import { useRecordsStore } from '~/records/store'
import { download } from '~/settings/download'
import { useSettingsStore } from '~/settings/store'
import { counted } from '~/words/numbers'
import Choice from '~/common/Choice.vue'
import LookThrough from '~/made-up/LookThrough.vue'
import FirstFive from './FirstFive.vue'
import SchoolsEarned from './SchoolsEarned.vue'
import SeasonHills from './SeasonHills.vue'

/**
 * What the log has taught: finishes beside the rods that were in hand in the same half-hours, spots and light, and
 * whether it has earned the schools other weights; rankings lean on it where the angler turns that on.
 */
const log = useLogStore()
const settings = useSettingsStore()
const records = useRecordsStore()
const taught = useTaughtStore()
const nowMs = Date.now()
const ALL = 'all'
/** Which water is asked about. */
const water = ref(ALL)
const done = computed(() => log.trips.filter(t => t.id !== log.current?.id))
const waters = computed(() => {
  const names = new Map(records.list('water').map(w => [w.id, w.body.name]))
  const trips = new Map<string, number>()
  for (const { body } of done.value)
    if (body.waterId && names.has(body.waterId)) trips.set(body.waterId, (trips.get(body.waterId) ?? 0) + 1)
  const each = [...trips].map(([value, n]) => ({ value, words: `${names.get(value)}, ${counted(n, 'trip')}` }))
  return [{ value: ALL, words: `All waters, ${counted(done.value.length, 'trip')}` }, ...each]
})
const logged = computed(() => {
  const of = tapsByTrip(log.allTaps)
  const asked = done.value.filter(t => water.value === ALL || t.body.waterId === water.value)
  return asked.map(t => loggedTrip(t, of(t.id), nowMs))
})
const { answer, progress, failed, stopped, stop, read, poolShare } = useSeason(
  () => logged.value,
  () => settings.units,
)
const givePool = async () => download('share.json', 'application/json', JSON.stringify(await poolShare(), null, 2))
// What all of it says goes to the other places, as marks, and as far as it is let in.
watch(answer, told => told && water.value === ALL && taught.keep(told))

const effectsOf = (...levels: Effect['level'][]) => answer.value?.effects.filter(e => levels.includes(e.level)) ?? []
const finishes = computed(() => effectsOf('finish'))
const others = computed(() =>
  [
    { words: 'Lures, the same way', effects: effectsOf('lure') },
    {
      words: 'Spots and conditions, on the days you went',
      effects: effectsOf('spot', 'light', 'clarity', 'phase'),
    },
  ].filter(g => g.effects.length),
)
const share = computed(() => (progress.value ? progress.value.done / Math.max(1, progress.value.total) : 0))
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
      <div class="mt-4 grid gap-x-8 gap-y-5 lg:grid-cols-2">
        <div class="min-w-0">
          <div class="flex flex-wrap items-center justify-between gap-x-4">
            <h3 class="figure text-lead font-bold">What works here?</h3>
            <Choice
              v-if="waters.length > 2"
              label="Which water"
              :value="water"
              :options="waters"
              @change="v => (water = v)"
            />
          </div>
          <p v-if="finishes.length" class="flex justify-between gap-2 pt-1 text-note text-ink2">
            <span>beside the rods in hand in the same half-hour</span>
            <span class="figure">⅓ to 3 times, by doublings</span>
          </p>
          <SeasonHills :effects="finishes" />
          <p v-if="finishes.length" class="mt-1 text-note text-ink2">
            Dashed: as good as its fellows. Ring: by bites an hour alone. Stroke: what rods beside it say. Bar: eight in
            ten. Dotted: too little fished to say.
          </p>
          <p v-else>No finish yet.</p>
          <template v-for="g in others" :key="g.words">
            <h3 class="figure mt-4 text-value font-bold">{{ g.words }}</h3>
            <SeasonHills :effects="g.effects" />
          </template>
        </div>
        <div class="flex min-w-0 flex-col gap-5">
          <SchoolsEarned v-if="answer.used.comparedBites" :weights="answer.weights" :used="answer.used" />
          <FirstFive v-if="taught.mayLean" :shifts="taught.shifts" />
          <div class="border-y border-ink py-2">
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
                Off until you turn it on. Lists and plans then lean by as much as the log has earned and no more, and
                say so. Never a bite by itself.
              </template>
              <template v-else>
                Not yet: it needs {{ LEAST_LEANED.bites }} bites with another rod tried beside, on
                {{ LEAST_LEANED.trips }} trips. Marks in Water come before that.
              </template>
            </p>
          </div>
          <p v-if="answer.used.comparedBites && !records.isMadeUp" class="flex flex-wrap items-center gap-3">
            <button type="button" class="quiet" @click="givePool">A share for a pool</button>
            <span class="min-w-48 flex-1 text-ink2">
              A file with how your bites pull at the schools’ weights, and nothing of places, times or lures. Many are
              added up by npm run pool.
            </span>
          </p>
        </div>
      </div>
    </template>
  </section>
</template>
