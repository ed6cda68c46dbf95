<script setup lang="ts">
import { coverOf } from '#core/cover/cover'
import type { SpotRecord } from '#shared/schema/record'
import { LIMITS } from '#shared/vocabulary'
import { FIRST_BANK } from '~/day/fields'
import { useUnits } from '~/settings/useUnits'
import { useWatersStore } from '~/waters/store'
import { BACKGROUND_OPTIONS, CANOPY_OPTIONS } from '~/words/options'
import BankRows from '~/common/rows/BankRows.vue'
import Choice from '~/common/Choice.vue'
import LineField from '~/common/LineField.vue'
import NumberField from '~/common/NumberField.vue'
import CoverRows from '~/common/rows/CoverRows.vue'
import ConditionRow from '~/common/rows/ConditionRow.vue'

/** A spot, every field of it. Each change is kept as it is made. */
const props = defineProps<{ id: string; spot: SpotRecord }>()
const waters = useWatersStore()
const { length } = useUnits()
const set = (patch: Partial<SpotRecord>) => waters.putSpot({ ...props.spot, ...patch }, props.id)
</script>

<template>
  <div class="mb-3 border-l-4 border-ink pl-3">
    <ConditionRow label="Name">
      <LineField label="Name of the spot" :value="spot.name" needed @change="name => set({ name })" />
    </ConditionRow>
    <ConditionRow label="Bottom, or what is behind">
      <Choice
        label="Bottom"
        :value="spot.background"
        :options="BACKGROUND_OPTIONS"
        @change="background => set({ background })"
      />
    </ConditionRow>
    <ConditionRow label="Water">
      <span class="flex items-center gap-2">
        <NumberField
          v-if="spot.depthM !== null"
          label="Depth of the spot"
          :value="spot.depthM"
          :scale="length"
          :min="LIMITS.waterDepthM[0]"
          :max="LIMITS.waterDepthM[1]"
          @change="depthM => set({ depthM })"
        />
        <button type="button" class="quiet" @click="set({ depthM: spot.depthM === null ? 2 : null })">
          {{ spot.depthM === null ? 'Say how deep' : 'Deep, or not known' }}
        </button>
      </span>
    </ConditionRow>
    <CoverRows
      :kind="spot.stands?.kind ?? null"
      :density="spot.stands?.density ?? 'scattered'"
      :top-m="spot.stands?.topM ?? null"
      :usual-top-m="spot.stands ? coverOf(spot.stands, spot.depthM).topM : null"
      @kind="kind => set({ stands: kind && { kind } })"
      @density="density => spot.stands && set({ stands: { ...spot.stands, density } })"
      @top="topM => spot.stands && set({ stands: { ...spot.stands, topM } })"
    />
    <ConditionRow label="Cover, in words">
      <LineField label="Cover, in words" :value="spot.cover" @change="cover => set({ cover })" />
    </ConditionRow>
    <ConditionRow label="Over the water">
      <Choice
        label="Over the water"
        :value="spot.canopy"
        :options="CANOPY_OPTIONS"
        @change="canopy => set({ canopy })"
      />
    </ConditionRow>
    <BankRows v-if="spot.bank" :bank="spot.bank" @change="bank => set({ bank })" />
    <p class="flex flex-wrap gap-2 py-2">
      <button type="button" class="quiet" @click="set({ bank: spot.bank ? null : { ...FIRST_BANK } })">
        {{ spot.bank ? 'Open water, no banks' : 'Say how the banks stand' }}
      </button>
      <button type="button" class="quiet" @click="set({ archived: true })">Take the spot out</button>
    </p>
    <ConditionRow label="Note">
      <LineField label="Note on the spot" :value="spot.note" :most="500" @change="note => set({ note })" />
    </ConditionRow>
  </div>
</template>
