<script setup lang="ts">
import type { SpeciesId } from '#core/eye/species'
import { useLogStore } from './store'
import type { Tap } from './trip'
import { useUnits } from '~/settings/useUnits'
import { SPECIES_OPTIONS } from '~/words/options'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'

/** A landed fish told of more closely, at once or later. */
const props = defineProps<{ tap: Tap }>()
const log = useLogStore()
const { length } = useUnits()
/** What the length starts from before it is typed, m. */
const USUAL_M = 0.35
const speciesOptions = [{ value: 'none' as const, words: 'Which fish?' }, ...SPECIES_OPTIONS]
const setSpecies = (v: SpeciesId | 'none') => log.mend(props.tap, { species: v === 'none' ? undefined : v })
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <Choice label="Fish landed" :value="tap.body.species ?? 'none'" :options="speciesOptions" @change="setSpecies" />
    <NumberField
      label="Length of the fish"
      :value="tap.body.lengthM ?? USUAL_M"
      :scale="length"
      :min="0.02"
      :max="3"
      @change="v => log.mend(tap, { lengthM: v })"
    >
      <span v-if="tap.body.lengthM === undefined" class="font-normal">How long?</span>
    </NumberField>
    <button
      type="button"
      class="quiet"
      :aria-pressed="!!tap.body.kept"
      @click="log.mend(tap, { kept: !tap.body.kept })"
    >
      {{ tap.body.kept ? 'Kept' : 'Let go' }}
    </button>
    <p v-if="tap.body.kept" class="w-full text-note">Size, bag and season limits differ: check local rules.</p>
  </div>
</template>
