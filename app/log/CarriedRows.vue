<script setup lang="ts">
import { computed } from 'vue'
import { LIMITS } from '#shared/vocabulary'
import { useSpot } from '~/day/useSpot'
import { conditionsWords } from './carried'
import { useLogStore } from './store'
import { conditionsNoted, depthNow, spotNow } from './trip'
import { useCarried } from './useCarried'
import { useWhereaboutsStore } from './whereabouts'
import { useSettingsStore } from '~/settings/store'
import { useUnits } from '~/settings/useUnits'
import { useWatersStore } from '~/waters/store'
import { cap } from '~/words/options'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'
import ConditionRow from '~/common/rows/ConditionRow.vue'

/** What is carried along with a trip: spot, depth and conditions, each noted on the timeline as it changes. */
const log = useLogStore()
const waters = useWatersStore()
const settings = useSettingsStore()
const where = useWhereaboutsStore()
const { length } = useUnits()
const { choose } = useSpot()
const { changed, note } = useCarried()
where.look()

/** Where the rod runs before anything is said of it, m. */
const SHALLOW_M = 0.5
const trip = computed(() => log.current!.body)
const depth = computed(() => depthNow(trip.value, log.taps, log.rod))
const spot = computed(() => spotNow(log.taps))
const spots = computed(() => [
  { value: 'none', words: 'No spot' },
  ...waters.spotsOf(trip.value.waterId).map(s => ({ value: s.id, words: s.body.name })),
])
async function to(id: string) {
  const spotId = id === 'none' ? null : id
  await log.tap('spot', { spotId })
  choose(spotId)
}
const noted = computed(() => cap(conditionsWords(conditionsNoted(trip.value, log.taps), settings.units)))
</script>

<template>
  <div>
    <ConditionRow v-if="spots.length > 1" label="Spot">
      <Choice label="Spot fished" :value="spot ?? 'none'" :options="spots" @change="to" />
    </ConditionRow>
    <ConditionRow label="Running depth">
      <NumberField
        label="Depth it runs at"
        :value="depth ?? SHALLOW_M"
        :scale="length"
        :min="LIMITS.depthM[0]"
        :max="LIMITS.depthM[1]"
        @change="v => log.tap('depth', { depthM: v })"
      >
        <span v-if="depth === null" class="font-normal">How deep?</span>
      </NumberField>
    </ConditionRow>
    <div class="border-b border-hair py-2 leading-tight">
      <p>
        <b>Conditions:</b>
        {{ noted }}.
      </p>
      <p v-if="changed.length" role="status" class="mt-1 flex flex-wrap items-center gap-x-3">
        <span>In Water now: {{ changed.join(', ') }}. Noted by itself in a moment.</span>
        <button type="button" class="min-h-11 font-semibold underline" @click="note">Note it now</button>
      </p>
      <p v-else class="mt-1 text-note text-ink2">
        What you change in Water, or an instrument that is followed changes, is noted here.
      </p>
    </div>
    <label class="flex min-h-11 items-center gap-2 border-b border-hair py-1 leading-tight">
      <input v-model="where.kept" type="checkbox" class="size-5 shrink-0 accent-ink" />
      <span>
        Keep where each tap was
        <span class="block text-note text-ink2">
          {{
            where.kept && where.error
              ? 'This device does not tell where it is: the boat’s instruments are asked.'
              : 'From the boat’s instruments or this device. Exact places are sent and saved with your log.'
          }}
        </span>
      </span>
    </label>
  </div>
</template>
