<script setup lang="ts">
import { computed, ref, toRaw } from 'vue'
import type { LureId } from '#core/lure/types'
import { MINUTE_MS } from '#core/units'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'
import BankRows from '~/common/rows/BankRows.vue'
import ConditionRow from '~/common/rows/ConditionRow.vue'
import { FIRST_BANK, type LaneSet, MOST_LANES } from './fields'
import { useBoxStore } from '~/box/store'
import { useDayStore } from './store'
import { luresRequestOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { dayRods, placeOf } from '~/which-lure/dayRods'
import { useSettingsStore } from '~/settings/store'
import { plainScale } from '~/settings/plainScale'
import { LURE_OPTIONS, WIND_OPTIONS } from '~/words/options'

/** Everything about a day in words and numbers: rods, the pack, what a change costs, the banks, and the hours. */
const day = useDayStore()
const box = useBoxStore()
const settings = useSettingsStore()
const reading = useReadingStore()
const s = computed(() => day.set)
const MINUTES = plainScale('min', 0)
const PIECES = plainScale('', 0)
const PERCENT = plainScale('%', 0, 100)
const PLACES = [
  { value: 'open' as const, words: 'in the open' },
  { value: 'shade' as const, words: 'in the shade' },
]
const setLane = (i: number, patch: Partial<LaneSet>) =>
  day.change({ lanes: s.value.lanes.map((l, k) => (k === i ? { ...l, ...patch } : l)) })
const addLane = () => {
  const lure = LURE_OPTIONS.find(o => !s.value.lanes.some(l => l.lure === o.value))!.value
  day.change({ lanes: [...s.value.lanes, { lure, place: 'open', depthM: null }] })
}
const dropLane = (i: number) => day.change({ lanes: s.value.lanes.filter((_, k) => k !== i) })
/** First light and the middle of the day, as hours of its clock. */
const TELLING_HOURS = ['06:30', '13:00'] as const
const filling = ref(false)
/** The rods that this water asks for over the day, in the place of those that are set. */
async function fillRods() {
  filling.value = true
  const { date, place } = day.request
  const hours = TELLING_HOURS.map(h => Date.parse(`${date}T${h}:00Z`) - place.utcOffsetMin * MINUTE_MS)
  const owned = new Set(box.carried.map(l => l.body.lure))
  try {
    const rods = await dayRods(luresRequestOf(toRaw(reading.reading), settings.units), hours, owned)
    const lanes = rods.map(lure => ({ lure, place: placeOf(lure, s.value.bank !== null), depthM: null }))
    if (lanes.length) day.change({ lanes })
  } finally {
    filling.value = false
  }
}
const FORECAST = computed(() => ({
  none: 'From the weather station this Piscator knows.',
  coming: 'Asking the station …',
  here: `Taken from the ${day.simulated ? 'simulated ' : ''}station. Pull it about as you see fit.`,
  away: 'The station does not answer. What you set stays; try again later.',
}))
const two = (h: number) => `${h}:00`
</script>

<template>
  <div class="grid gap-6 lg:grid-cols-2">
    <section>
      <h3 class="figure mb-1 text-value font-bold">Rods</h3>
      <ul>
        <li v-for="(lane, i) in s.lanes" :key="i" class="flex flex-wrap items-center gap-2 border-t border-hair py-1">
          <Choice
            class="min-w-40 flex-1"
            :label="`Rod ${i + 1}`"
            :value="lane.lure"
            :options="LURE_OPTIONS"
            @change="v => setLane(i, { lure: v as LureId, depthM: null })"
          />
          <Choice
            :label="`Where rod ${i + 1} is fished`"
            :value="lane.place"
            :options="PLACES"
            @change="v => setLane(i, { place: v })"
          />
          <button
            type="button"
            class="quiet"
            :disabled="s.lanes.length === 1"
            :aria-label="`Leave rod ${i + 1} at home`"
            @click="dropLane(i)"
          >
            Leave
          </button>
        </li>
      </ul>
      <p class="mt-1 flex flex-wrap gap-2">
        <button v-if="s.lanes.length < MOST_LANES" type="button" class="quiet" @click="addLane">Another rod</button>
        <button type="button" class="quiet" :disabled="filling" @click="fillRods">
          {{ filling ? 'Asking the water …' : 'Rods this water asks for' }}
        </button>
      </p>
      <p v-if="s.lanes.some(l => l.place === 'shade') && !s.bank" class="mt-2">
        A rod is fished in the shade: say below how the banks stand.
      </p>
      <h3 class="figure mt-5 mb-1 text-value font-bold">Packing and changing</h3>
      <ConditionRow v-if="box.carried.length" label="Only what is in my box">
        <input
          v-model="settings.onlyOwned"
          type="checkbox"
          class="h-5 w-5 accent-(--ink)"
          aria-label="Only what is in my box"
        />
      </ConditionRow>
      <ConditionRow label="Most lures to pack">
        <NumberField
          label="Most lures to pack"
          :value="s.packMost"
          :scale="PIECES"
          :min="1"
          :max="40"
          @change="v => day.change({ packMost: Math.round(v) })"
        />
      </ConditionRow>
      <ConditionRow label="A change must win back">
        <NumberField
          label="What a change must win back"
          :value="s.changeMin"
          :scale="MINUTES"
          :min="0"
          :max="120"
          @change="v => day.change({ changeMin: v })"
        />
      </ConditionRow>
      <ConditionRow label="No spell shorter than">
        <NumberField
          label="The shortest spell"
          :value="s.minSpellMin"
          :scale="MINUTES"
          :min="0"
          :max="600"
          @change="v => day.change({ minSpellMin: v })"
        />
      </ConditionRow>
      <h3 class="figure mt-5 mb-1 text-value font-bold">Banks</h3>
      <template v-if="s.bank">
        <BankRows :bank="s.bank" @change="bank => day.change({ bank })" />
        <button type="button" class="quiet mt-1" @click="day.change({ bank: null })">Open water, no banks</button>
      </template>
      <button v-else type="button" class="quiet" @click="day.change({ bank: { ...FIRST_BANK } })">
        Say how the banks stand
      </button>
    </section>
    <section>
      <h3 class="figure mb-1 flex items-center justify-between text-value font-bold">
        The sky by the hour
        <button v-if="s.hours" type="button" class="min-h-11 text-small underline" @click="day.change({ hours: null })">
          As now, all day
        </button>
      </h3>
      <p class="mb-2 flex flex-wrap items-center gap-3">
        <button type="button" class="quiet" :disabled="day.forecast === 'coming'" @click="day.takeForecast()">
          Take the forecast
        </button>
        <span role="status" class="text-note text-ink2">{{ FORECAST[day.forecast] }}</span>
      </p>
      <table class="w-full">
        <thead class="text-left text-note text-ink2">
          <tr>
            <th class="font-medium" scope="col">Hour</th>
            <th class="font-medium" scope="col">Cloud</th>
            <th class="font-medium" scope="col">Wind</th>
            <th class="font-medium" scope="col">Rain</th>
            <th class="font-medium" scope="col">Lightning</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(h, i) in day.hours" :key="i" class="border-t border-hair">
            <th class="figure text-left font-bold" scope="row">{{ two(i) }}</th>
            <td>
              <NumberField
                :label="`Cloud at ${two(i)}`"
                :value="h.cloud"
                :scale="PERCENT"
                :min="0"
                :max="1"
                @change="v => day.setHour(i, { cloud: v })"
              />
            </td>
            <td>
              <Choice
                bare
                :label="two(i)"
                :value="h.wind"
                :options="WIND_OPTIONS"
                @change="v => day.setHour(i, { wind: v })"
              />
            </td>
            <td>
              <label class="flex min-h-11 items-center px-2">
                <input
                  type="checkbox"
                  class="h-5 w-5 accent-(--ink)"
                  :checked="h.rain"
                  :aria-label="`Rain at ${two(i)}`"
                  @change="day.setHour(i, { rain: !h.rain })"
                />
              </label>
            </td>
            <td>
              <label class="flex min-h-11 items-center px-2">
                <input
                  type="checkbox"
                  class="h-5 w-5 accent-(--ink)"
                  :checked="h.lightning"
                  :aria-label="`Lightning at ${two(i)}`"
                  @change="day.setHour(i, { lightning: !h.lightning, rain: h.rain || !h.lightning })"
                />
              </label>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>
