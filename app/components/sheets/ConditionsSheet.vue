<script setup lang="ts">
import { computed } from 'vue'
import { type Scale, useUnits } from '~/settings/useUnits'
import { useReadingStore } from '~/reading/store'
import { useWatersStore } from '~/waters/store'
import { FAMILIES } from '#core/paintwork/families'
import { LIMITS } from '#shared/vocabulary'
import { atMinute, localTime, onDate } from '~/reading/clock'
import { usePlace } from '~/reading/usePlace'
import {
  BACKGROUND_OPTIONS,
  CANOPY_OPTIONS,
  FACING_OPTIONS,
  PRESSURE_OPTIONS,
  SALINITY_OPTIONS,
  SPECIES_OPTIONS,
  TINT_OPTIONS,
  TIDE_OPTIONS,
  TREND_OPTIONS,
  WIND_OPTIONS,
  cap,
  seasonOf,
  seasonOptions,
} from '~/words/options'
import Choice from '~/components/common/Choice.vue'
import NumberField from '~/components/common/NumberField.vue'
import TwoLureTest from './TwoLureTest.vue'

/** Every condition as a plain form: the picture is never the only way in. */
const store = useReadingStore()
const waters = useWatersStore()
const { length, temperature } = useUnits()
const s = computed(() => store.reading)
const { moveTo } = usePlace()
const AUTO = 'auto' as const
const seasons = computed(() => [
  { value: AUTO, words: 'Judged from temperature and date' },
  ...seasonOptions(s.value.species),
])
const trends = [{ value: AUTO, words: 'Not known' }, ...TREND_OPTIONS]
const tides = [{ value: AUTO, words: 'Not known' }, ...TIDE_OPTIONS]
const sides = [
  { value: 'level' as const, words: 'Level' },
  { value: 'below' as const, words: 'From below' },
  { value: 'above' as const, words: 'From above' },
]
const waterOptions = computed(() => [
  { value: 'none', words: 'Another place' },
  ...waters.list.map(w => ({ value: w.id, words: w.name, note: w.kind })),
])
const degrees: Scale = {
  of: 'number',
  unit: '°',
  step: 0.01,
  decimals: 2,
  show: (v: number) => v,
  read: (v: number) => v,
}
const percent: Scale = {
  of: 'number',
  unit: '%',
  step: 5,
  decimals: 0,
  show: (v: number) => v * 100,
  read: (v: number) => v / 100,
}
const local = computed(() => localTime(s.value.timeMs, s.value.zone))
function setDate(e: Event) {
  const timeMs = onDate(s.value.timeMs, s.value.zone, (e.target as HTMLInputElement).value)
  if (timeMs !== null) store.set({ timeMs })
}
function setTime(e: Event) {
  const [h, m] = (e.target as HTMLInputElement).value.split(':').map(Number)
  if (Number.isFinite(h) && Number.isFinite(m))
    store.set({ timeMs: atMinute(s.value.timeMs, s.value.zone, h! * 60 + m!) })
}
function toggleShown(f: (typeof FAMILIES)[number]) {
  store.set({
    fishedThrough: s.value.fishedThrough.includes(f)
      ? s.value.fishedThrough.filter(x => x !== f)
      : [...s.value.fishedThrough, f],
  })
}
</script>

<template>
  <div class="sheet flex flex-col gap-5">
    <section>
      <h3>Where and when</h3>
      <div class="row">
        <span>Water</span>
        <Choice label="Water" :value="s.waterId ?? 'none'" :options="waterOptions" @change="id => waters.choose(id)" />
      </div>
      <p v-if="waters.state === 'away'" class="text-ink2">
        Saved waters cannot be reached just now; the place can still be typed.
      </p>
      <label class="row">
        <span>Date</span>
        <input type="date" class="min-h-11 border border-ink px-2" :value="local.toISODate()" @change="setDate" />
      </label>
      <label class="row">
        <span>Hour</span>
        <input type="time" class="min-h-11 border border-ink px-2" :value="local.toFormat('HH:mm')" @change="setTime" />
      </label>
      <div class="row">
        <span>Latitude, longitude</span>
        <span class="flex gap-2">
          <NumberField
            label="Latitude"
            :value="s.latitude"
            :scale="degrees"
            :min="LIMITS.latitude[0]"
            :max="LIMITS.latitude[1]"
            @change="v => moveTo(v, s.longitude)"
          />
          <NumberField
            label="Longitude"
            :value="s.longitude"
            :scale="degrees"
            :min="LIMITS.longitude[0]"
            :max="LIMITS.longitude[1]"
            @change="v => moveTo(s.latitude, v)"
          />
        </span>
      </div>
      <div class="row">
        <span>Season</span>
        <Choice
          label="Season"
          :value="s.season ? seasonOf(s.season, s.species) : AUTO"
          :options="seasons"
          @change="v => store.set({ season: v === AUTO ? null : v })"
        />
      </div>
    </section>
    <section>
      <h3>Water</h3>
      <div class="row">
        <span>Disc vanishes at</span>
        <NumberField
          label="Visibility"
          :value="s.visibilityM"
          :scale="length"
          :min="LIMITS.visibilityM[0]"
          :max="LIMITS.visibilityM[1]"
          @change="v => store.set({ visibilityM: v })"
        />
      </div>
      <div class="row">
        <span>Tint</span>
        <Choice label="Tint" :value="s.tint" :options="TINT_OPTIONS" @change="v => store.set({ tint: v })" />
      </div>
      <TwoLureTest />
      <div class="row">
        <span>Surface temperature</span>
        <NumberField
          v-if="s.temperatureC !== null"
          label="Water temperature"
          :value="s.temperatureC"
          :scale="temperature"
          :min="LIMITS.temperatureC[0]"
          :max="LIMITS.temperatureC[1]"
          @change="v => store.set({ temperatureC: v })"
        />
        <button v-else type="button" class="quiet" @click="store.set({ temperatureC: 15 })">Add a reading</button>
      </div>
      <div class="row">
        <span>Last days</span>
        <Choice
          label="Temperature trend"
          :value="s.trend ?? AUTO"
          :options="trends"
          @change="v => store.set({ trend: v === AUTO ? null : v })"
        />
      </div>
      <div class="row">
        <span>Salinity</span>
        <Choice
          label="Salinity"
          :value="s.salinity"
          :options="SALINITY_OPTIONS"
          @change="v => store.set({ salinity: v })"
        />
      </div>
      <div v-if="s.salinity !== 'fresh'" class="row">
        <span>Tide</span>
        <Choice
          label="Tide"
          :value="s.tide ?? AUTO"
          :options="tides"
          @change="v => store.set({ tide: v === AUTO ? null : v })"
        />
      </div>
      <div class="row">
        <span>Pressure</span>
        <Choice
          label="Fishing pressure"
          :value="s.pressure"
          :options="PRESSURE_OPTIONS"
          @change="v => store.set({ pressure: v })"
        />
      </div>
    </section>
    <section>
      <h3>Light</h3>
      <div class="row">
        <span>Cloud</span>
        <NumberField
          label="Cloud cover"
          :value="s.cloud"
          :scale="percent"
          :min="0"
          :max="1"
          @change="v => store.set({ cloud: v })"
        />
      </div>
      <label class="row">
        <span>Rain</span>
        <input type="checkbox" class="size-6 accent-ink" :checked="s.rain" @change="store.set({ rain: !s.rain })" />
      </label>
      <div class="row">
        <span>Wind</span>
        <Choice
          label="Wind on the water"
          :value="s.wind"
          :options="WIND_OPTIONS"
          @change="v => store.set({ wind: v })"
        />
      </div>
      <div class="row">
        <span>Over the lure</span>
        <Choice label="Canopy" :value="s.canopy" :options="CANOPY_OPTIONS" @change="v => store.set({ canopy: v })" />
      </div>
      <label class="row">
        <span>Lamps near by</span>
        <input type="checkbox" class="size-6 accent-ink" :checked="s.lamps" @change="store.set({ lamps: !s.lamps })" />
      </label>
    </section>
    <section>
      <h3>Lure and fish</h3>
      <div class="row">
        <span>Fish</span>
        <Choice label="Fish" :value="s.species" :options="SPECIES_OPTIONS" @change="v => store.set({ species: v })" />
      </div>
      <div class="row">
        <span>Running depth</span>
        <NumberField
          label="Running depth"
          :value="store.depthM"
          :scale="length"
          :min="LIMITS.depthM[0]"
          :max="LIMITS.depthM[1]"
          @change="v => store.set({ depthM: v })"
        />
      </div>
      <div class="row">
        <span>Fish is off by</span>
        <NumberField
          label="Distance of the fish"
          :value="s.fishM"
          :scale="length"
          :min="LIMITS.fishM[0]"
          :max="LIMITS.fishM[1]"
          @change="v => store.set({ fishM: v })"
        />
      </div>
      <div class="row">
        <span>It looks</span>
        <Choice
          label="Side the fish looks from"
          :value="s.side"
          :options="sides"
          @change="v => store.set({ side: v })"
        />
      </div>
      <div class="row">
        <span>Where the sun is</span>
        <Choice
          label="Where the sun is"
          :value="s.facing"
          :options="FACING_OPTIONS"
          @change="v => store.set({ facing: v })"
        />
      </div>
      <div class="row">
        <span>Depth of the water</span>
        <span class="flex items-center gap-2">
          <NumberField
            v-if="s.waterM !== null"
            label="Depth of the water, in figures"
            :value="s.waterM"
            :scale="length"
            :min="LIMITS.waterDepthM[0]"
            :max="LIMITS.waterDepthM[1]"
            @change="v => store.set({ waterM: v })"
          />
          <button
            type="button"
            class="quiet"
            @click="store.set({ waterM: s.waterM === null ? Math.max(1, 1.5 * store.depthM) : null })"
          >
            {{ s.waterM === null ? 'Deep; set it' : 'Deep water' }}
          </button>
        </span>
      </div>
      <div class="row">
        <span>Behind the lure</span>
        <Choice
          label="What is behind the lure"
          :value="s.background"
          :options="BACKGROUND_OPTIONS"
          @change="v => store.set({ background: v })"
        />
      </div>
      <label class="row">
        <span>Natural offers were refused</span>
        <input
          type="checkbox"
          class="size-6 accent-ink"
          :checked="s.bitesRefused"
          @change="store.set({ bitesRefused: !s.bitesRefused })"
        />
      </label>
    </section>
    <fieldset>
      <legend class="figure mb-1 text-value font-bold">Colours the spot has been shown today</legend>
      <div class="grid grid-cols-3">
        <label v-for="f in FAMILIES" :key="f" class="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            class="size-5 accent-ink"
            :checked="s.fishedThrough.includes(f)"
            @change="toggleShown(f)"
          />
          {{ cap(f) }}
        </label>
      </div>
    </fieldset>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 48px;
}
h3 {
  font-family: var(--font-figure);
  font-weight: 700;
  font-size: 17px;
  border-bottom: 1px solid var(--ink);
}
</style>
