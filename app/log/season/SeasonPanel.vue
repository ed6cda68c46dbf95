<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, ref } from 'vue'
import { finishesOf } from '#core/lure/finish'
import { useFinish } from '~/box/useFinish'
import { isGpx } from '~/files/gpx'
import { readGpx, tripsGpx } from '~/log/gpx'
import { readTapsCsv, tapsCsv } from '~/log/csv'
import { type LogEntry, finishesCsv, logJson, readLog } from '~/log/files'
import { rateOf } from '~/log/rate'
import { useLogStore } from '~/log/store'
import { type Trip, bitesOf, byFinish, byRod, tapsByTrip } from '~/log/trip'
import { useTapWords } from '~/log/useTapWords'
import { requestOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { useSettingsStore } from '~/settings/store'
import { download } from '~/settings/download'
import { counted } from '~/words/numbers'
import FileIn from '~/common/FileIn.vue'
import HandFigure from '~/figures/HandFigure.vue'
import LogTaught from './LogTaught.vue'
import TapList from '~/log/TapList.vue'
import TrialResult from '~/log/TrialResult.vue'
import TripStems from './TripStems.vue'
import TripPicture from '~/log/TripPicture.vue'

/** The season read back: which finish earned its bites, and every trip. */
const log = useLogStore()
const records = useRecordsStore()
const { finishOf, finishName } = useFinish()
const reading = useReadingStore()
const settings = useSettingsStore()
const tapWords = useTapWords()
const nowMs = Date.now()
const search = ref('')
const open = ref<string | null>(null)
const trips = computed(() => {
  const words = search.value.trim().toLowerCase()
  return log.trips.filter(t => !words || `${t.body.name} ${t.body.note} ${day(t)}`.toLowerCase().includes(words))
})
const tapsOf = computed(() => tapsByTrip(log.allTaps))
const finishes = computed(() =>
  byFinish(trips.value, log.allTaps, nowMs).map(f => ({ ...f, rate: rateOf(bitesOf(f.tally), f.tally.minutes) })),
)
const most = computed(() => Math.max(0.5, ...finishes.value.map(f => Math.min(12, f.rate.high))))
const hours = computed(() => finishes.value.reduce((s, f) => s + f.tally.minutes, 0) / 60)
/** Less than this in hand says nothing of a rate, minutes. */
const SHORT = 10
/** Before this much has been fished nothing is said of one finish beside another, hours. */
const SAYS = 10
const day = (t: Trip) => DateTime.fromISO(t.body.startedAt).toFormat('d LLL yyyy, HH:mm')
const account = (t: Trip) => {
  const all = byRod(t.body, tapsOf.value(t.id), nowMs)
  const sum = (f: (r: (typeof all)[number]) => number) => all.reduce((s, r) => s + f(r), 0)
  return `${Math.round(sum(r => r.minutes))} min, ${counted(sum(bitesOf), 'bite')}, ${sum(r => r.landed)} landed`
}
const share = (v: number) => `${Math.min(100, (100 * v) / most.value)}%`
/** What a track outside every trip is taken for: the rods at hand and the conditions as they are in Water. */
const like = () => {
  const { waterId, lure } = reading.reading
  const asked = requestOf(reading.reading, settings.units)
  const rods = log.trips[0]?.body.rods ?? [{ lure, finishId: finishesOf(lure)[0]!.id }]
  return { waterId, rods, asked, trial: null, note: '' }
}
const read = (name: string, text: string) => {
  if (isGpx(name, text)) return readGpx(text, log.trips, log.allTaps, like())
  return /^\s*[{[]/.test(text)
    ? readLog(text, log.trips, log.allTaps)
    : readTapsCsv(text, log.trips, log.allTaps, like())
}
const gpx = () => tripsGpx(trips.value, log.allTaps, t => t.asked.light.at ?? null, tapWords)
const take = (writes: { id: string; body: LogEntry }[]) =>
  records.writeUndoably(writes.map(({ id, body }) => ({ id, ...body })))
</script>

<template>
  <div class="grid gap-6 p-4 lg:grid-cols-2">
    <TripStems class="min-w-0 lg:col-span-2" :trips="log.trips" :taps-of="tapsOf" />
    <LogTaught class="min-w-0 lg:col-span-2" />
    <section aria-label="Bites by finish">
      <h2 class="figure text-lead font-bold">Bites an hour, by finish</h2>
      <p v-if="hours < SAYS" class="leading-snug">
        {{ hours.toFixed(1) }} hours so far: {{ SAYS }} before this says anything. The bars are eight times in ten.
      </p>
      <p v-else class="leading-snug">
        Bars are eight times in ten; where two overlap, chance may be all that parts them.
      </p>
      <p v-if="!finishes.length" class="mt-2">Nothing fished yet.</p>
      <ul class="mt-2">
        <li v-for="f in finishes" :key="f.finishId" class="flex items-center gap-2 border-t border-hair py-1">
          <span class="block h-9 w-18 shrink-0 bg-plate p-0.5">
            <HandFigure v-if="finishOf(f.finishId)" :finish="finishOf(f.finishId)!" :line="2.6" />
          </span>
          <span class="w-36 leading-tight">
            {{ finishName(f.finishId) }}
            <span class="figure block text-note text-ink2">
              {{ Math.round(f.tally.minutes) }} min, {{ counted(bitesOf(f.tally), 'bite') }}
            </span>
          </span>
          <span class="relative block h-6 flex-1" aria-hidden="true">
            <span
              class="absolute top-2.5 h-1 bg-ink"
              :style="{ left: share(f.rate.low), right: `calc(100% - ${share(f.rate.high)})` }"
            />
            <span class="absolute top-1 h-4 w-1 bg-ink" :style="{ left: share(f.rate.best) }" />
          </span>
          <b class="figure w-24 text-right text-note">
            {{
              f.tally.minutes < SHORT ? 'too short' : `${f.rate.low.toFixed(1)} to ${f.rate.high.toFixed(1)} an hour`
            }}
          </b>
        </li>
      </ul>
      <h3 v-if="!records.isMadeUp" class="figure mt-5 text-value font-bold">The log as a file</h3>
      <p v-if="!records.isMadeUp" class="mt-1 flex flex-wrap gap-2">
        <button type="button" class="quiet" @click="download('taps.csv', 'text/csv', tapsCsv(trips, log.allTaps))">
          Taps as CSV
        </button>
        <button
          type="button"
          class="quiet"
          @click="download('finishes.csv', 'text/csv', finishesCsv(trips, log.allTaps, nowMs))"
        >
          Finishes as CSV
        </button>
        <button
          type="button"
          class="quiet"
          @click="download('log.json', 'application/json', logJson(log.trips, log.allTaps))"
        >
          All as JSON
        </button>
        <button
          type="button"
          class="quiet"
          @click="gpx().then(text => download('trips.gpx', 'application/gpx+xml', text))"
        >
          Trips as GPX
        </button>
      </p>
      <FileIn
        v-if="!records.isMadeUp"
        accept=".json,.csv,.gpx,application/json,text/csv,application/gpx+xml"
        :read="read"
        :take="take"
      />
    </section>
    <section aria-label="Trips">
      <h2 class="figure flex items-center justify-between gap-3 text-lead font-bold">
        Trips
        <input
          v-model="search"
          type="search"
          class="h-11 w-40 border border-ink px-2 text-base font-normal"
          placeholder="Search"
          aria-label="Search the trips"
        />
      </h2>
      <p v-if="!trips.length" class="mt-2">No trip yet, or none of that name.</p>
      <ul class="mt-2">
        <li v-for="t in trips" :key="t.id" class="border-t border-hair">
          <button
            type="button"
            class="block min-h-14 w-full py-1 text-left leading-tight"
            :aria-expanded="open === t.id"
            @click="open = open === t.id ? null : t.id"
          >
            <b>{{ t.body.name || 'A trip' }}{{ t.body.trial ? ', a test of two' : '' }}</b>
            <span class="block">{{ day(t) }}. {{ account(t) }}{{ t.body.endedAt ? '' : ', under way' }}.</span>
          </button>
          <div v-if="open === t.id" class="pb-3">
            <TrialResult v-if="t.body.trial" :trip="t.body" :taps="tapsOf(t.id)" />
            <TripPicture v-else :trip="t" :taps="tapsOf(t.id)" />
            <button v-if="t.body.endedAt && !log.current" type="button" class="quiet my-2" @click="log.resume(t.id)">
              Go on with it
            </button>
            <TapList :taps="tapsOf(t.id)" />
          </div>
        </li>
      </ul>
    </section>
  </div>
</template>
