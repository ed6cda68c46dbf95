<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed } from 'vue'
import { SPECIES } from '#core/eye/species'
import { CLUES } from '#core/prey/odds'
import { useLogStore } from '~/log/store'
import type { Tap } from '~/log/trip'
import { useRecordsStore } from '~/records/store'
import { useUnits } from '~/settings/useUnits'
import { ROD_NAMES, SPECIES_OPTIONS, cap } from '~/words/options'
import Choice from '~/components/common/Choice.vue'
import NumberField from '~/components/common/NumberField.vue'

/** What was tapped last, to be taken back; a landed fish can be told of more closely, now or later. */
const log = useLogStore()
const records = useRecordsStore()
const { length } = useUnits()
const last = computed<Tap | null>(() => log.taps.at(-1) ?? null)
const words = computed(() => {
  const t = last.value?.body
  if (!t) return 'Nothing tapped yet.'
  const what = t.clue ? CLUES[t.clue].words : (t.text ?? t.what)
  return `${cap(what)}, ${ROD_NAMES[t.rod]!.toLowerCase()}, ${DateTime.fromISO(t.at).toFormat('HH:mm')}`
})
const landed = computed(() => (last.value?.body.what === 'landed' ? last.value : null))
const speciesOptions = [{ value: 'none', words: 'Which fish?' }, ...SPECIES_OPTIONS]
</script>

<template>
  <div>
    <div class="flex items-stretch border-b border-hair">
      <p class="flex min-h-13 flex-1 items-center px-4" role="status">{{ words }}</p>
      <button
        type="button"
        class="figure min-w-24 border-l border-ink px-4 text-value font-bold disabled:opacity-60"
        :disabled="!last"
        @click="log.undo()"
      >
        Undo
      </button>
    </div>
    <div v-if="landed" class="flex flex-wrap items-center gap-2 border-b border-hair px-4 py-2">
      <Choice
        label="Fish landed"
        :value="landed.body.species ?? 'none'"
        :options="speciesOptions"
        @change="v => log.mend(landed!, { species: v === 'none' ? undefined : (v as keyof typeof SPECIES) })"
      />
      <NumberField
        label="Length of the fish"
        :value="landed.body.lengthM ?? 0.35"
        :scale="length"
        :min="0.02"
        :max="3"
        @change="v => log.mend(landed!, { lengthM: v })"
      />
      <button
        type="button"
        class="quiet"
        :aria-pressed="!!landed.body.kept"
        @click="log.mend(landed, { kept: !landed.body.kept })"
      >
        {{ landed.body.kept ? 'Kept' : 'Let go' }}
      </button>
      <p v-if="landed.body.kept" class="w-full text-note">Size, bag and season limits differ: check local rules.</p>
    </div>
    <p v-if="records.words" class="border-b border-hair px-4 py-1 text-note">{{ records.words }}</p>
  </div>
</template>
