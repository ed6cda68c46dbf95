<script setup lang="ts">
import { computed, ref } from 'vue'
import type { WaterRecord } from '#shared/schema/record'
import { LIMITS } from '#shared/vocabulary'
import { zoneAt } from '~/reading/zone'
import { plainScale } from '~/settings/plainScale'
import { useUnits } from '~/settings/useUnits'
import { type WaterOut, useWatersStore } from '~/waters/store'
import { FORAGE_OPTIONS, SALINITY_OPTIONS, TINT_OPTIONS } from '~/words/options'
import Choice from '~/common/Choice.vue'
import LineField from '~/common/LineField.vue'
import NumberField from '~/common/NumberField.vue'
import ConditionRow from '~/common/rows/ConditionRow.vue'
import CheckGrid from '~/common/CheckGrid.vue'

/** A water of one's own, every field of it. Each change is kept as it is made. */
const props = defineProps<{ water: WaterOut }>()
const emit = defineEmits<{ archived: [] }>()
const waters = useWatersStore()
const { length } = useUnits()
const degrees = plainScale('°', 4)
const body = computed(() => waters.own.find(w => w.id === props.water.id)!.body)
const set = (patch: Partial<WaterRecord>) => waters.putWater({ ...body.value, ...patch }, props.water.id)
async function place(latitude: number, longitude: number) {
  const at = { latitude: Number(latitude.toFixed(5)), longitude: Number(longitude.toFixed(5)) }
  await set({ ...at, zone: await zoneAt(latitude, longitude) })
}
const standing = ref<'' | 'asking' | 'refused'>('')
function fromDevice() {
  standing.value = 'asking'
  navigator.geolocation.getCurrentPosition(
    ({ coords }) => {
      standing.value = ''
      void place(coords.latitude, coords.longitude)
    },
    () => (standing.value = 'refused'),
    { enableHighAccuracy: true, timeout: 15_000 },
  )
}
const lives = (kind: (typeof FORAGE_OPTIONS)[number]['value']) =>
  set({
    prey: body.value.prey.includes(kind) ? body.value.prey.filter(k => k !== kind) : [...body.value.prey, kind],
  })
async function archive() {
  await set({ archived: true })
  emit('archived')
}
</script>

<template>
  <div class="mt-2">
    <ConditionRow label="Name">
      <LineField label="Name" :value="body.name" needed @change="name => set({ name })" />
    </ConditionRow>
    <ConditionRow label="Kind">
      <LineField label="Kind" :value="body.kind" :most="40" @change="kind => set({ kind })" />
    </ConditionRow>
    <ConditionRow label="Latitude, longitude">
      <span class="flex flex-wrap gap-2">
        <NumberField
          label="Latitude"
          :value="body.latitude"
          :scale="degrees"
          :min="LIMITS.latitude[0]"
          :max="LIMITS.latitude[1]"
          @change="v => place(v, body.longitude)"
        />
        <NumberField
          label="Longitude"
          :value="body.longitude"
          :scale="degrees"
          :min="LIMITS.longitude[0]"
          :max="LIMITS.longitude[1]"
          @change="v => place(body.latitude, v)"
        />
        <button type="button" class="quiet" :disabled="standing === 'asking'" @click="fromDevice">Where I stand</button>
      </span>
    </ConditionRow>
    <p v-if="standing" role="status" class="py-1 text-ink2">
      {{
        standing === 'asking'
          ? 'Asking the device where it is …'
          : 'The device does not tell where it is. Allow it in the browser, or type the place.'
      }}
    </p>
    <ConditionRow label="Salinity">
      <Choice
        label="Salinity of the water"
        :value="body.salinity"
        :options="SALINITY_OPTIONS"
        @change="salinity => set({ salinity })"
      />
    </ConditionRow>
    <ConditionRow label="Disc usually vanishes at">
      <NumberField
        label="Usual clarity"
        :value="body.usualVisibilityM"
        :scale="length"
        :min="LIMITS.visibilityM[0]"
        :max="LIMITS.visibilityM[1]"
        @change="usualVisibilityM => set({ usualVisibilityM })"
      />
    </ConditionRow>
    <ConditionRow label="Usual tint">
      <Choice
        label="Usual tint"
        :value="body.usualTint"
        :options="TINT_OPTIONS"
        @change="usualTint => set({ usualTint })"
      />
    </ConditionRow>
    <details class="border-b border-hair py-1">
      <summary class="min-h-11 cursor-pointer py-2 font-semibold">
        What lives there{{ body.prey.length ? `, ${body.prey.length} kinds` : '' }}
      </summary>
      <CheckGrid class="sm:grid-cols-3" :options="FORAGE_OPTIONS" :on="k => body.prey.includes(k)" @turn="lives" />
    </details>
    <ConditionRow label="Note">
      <LineField label="Note" :value="body.note" :most="500" @change="note => set({ note })" />
    </ConditionRow>
    <button type="button" class="quiet mt-2" @click="archive">Archive it</button>
  </div>
</template>
