<script setup lang="ts">
import { computed } from 'vue'
import { plainScale } from '~/settings/plainScale'
import { useReadingStore } from '~/reading/store'
import { useWatersStore } from '~/waters/store'
import { LIMITS } from '#shared/vocabulary'
import { atMinute, localTime, onDate } from '~/reading/clock'
import { usePlace } from '~/reading/usePlace'
import { nowMinute } from '~/reading/useReadingLink'
import { useSpot } from '~/day/useSpot'
import { AUTO, seasonOptionOf, seasonOptions } from '~/words/options'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'
import ConditionGroup from '~/common/rows/ConditionGroup.vue'
import ConditionRow from '~/common/rows/ConditionRow.vue'

/** Which water, when, and which season that makes. */
const store = useReadingStore()
const waters = useWatersStore()
const s = computed(() => store.reading)
const { moveTo, here, asking, refused } = usePlace()
const { choose: chooseSpot } = useSpot()
const spotOptions = computed(() => [
  { value: 'none', words: 'Anywhere on it' },
  ...waters.spotsOf(s.value.waterId).map(p => ({ value: p.id, words: p.body.name })),
])
const seasons = computed(() => [
  { value: AUTO, words: 'Judged from temperature and date' },
  ...seasonOptions(s.value.species),
])
const waterOptions = computed(() => [
  { value: 'none', words: 'Another place' },
  ...waters.list.map(w => ({ value: w.id, words: w.name, note: w.kind })),
])
const degrees = plainScale('°', 2)
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
</script>

<template>
  <ConditionGroup name="Where and when">
    <ConditionRow label="Water">
      <Choice label="Water" :value="s.waterId ?? 'none'" :options="waterOptions" @change="id => waters.choose(id)" />
    </ConditionRow>
    <p v-if="waters.state === 'away'" class="py-1 text-ink2">
      Saved waters cannot be reached just now; the place can still be typed.
    </p>
    <ConditionRow v-if="spotOptions.length > 1" label="Spot">
      <Choice
        label="Spot"
        :value="s.spotId ?? 'none'"
        :options="spotOptions"
        @change="id => chooseSpot(id === 'none' ? null : id)"
      />
    </ConditionRow>
    <slot />
    <ConditionRow label="Date">
      <input
        type="date"
        aria-label="Date"
        class="min-h-11 border border-ink px-2"
        :value="local.toISODate()"
        @change="setDate"
      />
    </ConditionRow>
    <ConditionRow label="Hour">
      <input
        type="time"
        aria-label="Hour"
        class="min-h-11 border border-ink px-2"
        :value="local.toFormat('HH:mm')"
        @change="setTime"
      />
    </ConditionRow>
    <ConditionRow label="Latitude, longitude">
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
    </ConditionRow>
    <p class="flex flex-wrap items-center gap-3 border-b border-hair py-1">
      <button type="button" class="quiet" :disabled="asking" @click="here">
        {{ asking ? 'Asking this device …' : 'Here' }}
      </button>
      <button type="button" class="quiet" @click="store.set({ timeMs: nowMinute() })">Now</button>
      <span v-if="refused" role="status">This device does not say where it is: type the place, or choose a water.</span>
      <span v-else-if="s.placeGuessed" class="text-ink2">The place is a guess by this device’s clock.</span>
    </p>
    <ConditionRow label="Season" path="season">
      <Choice
        label="Season"
        :value="s.season ? seasonOptionOf(s.season, s.species) : AUTO"
        :options="seasons"
        @change="v => store.set({ season: v === AUTO ? null : v })"
      />
    </ConditionRow>
  </ConditionGroup>
</template>
