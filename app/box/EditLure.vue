<script setup lang="ts">
import { computed } from 'vue'
import { type Material, MATERIAL, MATERIALS } from '#core/paintwork/material'
import type { Part } from '#core/paintwork/parts'
import { hex } from '#core/spectrum/colour'
import { srgbOfCoat } from '#core/picture/inTheHand'
import { type OwnCoat, WEARS } from '#shared/schema/record'
import { type BoxLure, useBoxStore } from './store'
import Choice from '~/common/Choice.vue'
import LineField from '~/common/LineField.vue'
import NumberField from '~/common/NumberField.vue'
import PhotoLoupe from '~/figures/PhotoLoupe.vue'
import ConditionRow from '~/common/rows/ConditionRow.vue'
import HandFigure from '~/figures/HandFigure.vue'
import { useSettingsStore } from '~/settings/store'
import { plainScale } from '~/settings/plainScale'
import { cap } from '~/words/options'

/** One lure of the box: its name, how many, how worn, where it lies, and colours of its own. */
const props = defineProps<{ lure: BoxLure }>()
const emit = defineEmits<{ gone: [] }>()
const box = useBoxStore()
const b = computed(() => props.lure.body)
const PIECES = plainScale('', 0)
const WEAR_OPTIONS = WEARS.map(value => ({ value, words: cap(value) }))
const MATERIAL_OPTIONS = MATERIALS.map(value => ({ value, words: cap(MATERIAL[value].words) }))
const set = (patch: Parameters<typeof box.edit>[1]) => void box.edit(props.lure.id, patch)
const text = (e: Event) => (e.target as HTMLInputElement).value

const settings = useSettingsStore()
type Pin = 'free' | 'keep' | 'drop'
const PINS: { value: Pin; words: string }[] = [
  { value: 'free', words: 'where it earns it' },
  { value: 'keep', words: 'in every one' },
  { value: 'drop', words: 'in none' },
]
const pin = computed<Pin>(() => {
  const id = props.lure.finish!.id
  return settings.kitKeep.includes(id) ? 'keep' : settings.kitDrop.includes(id) ? 'drop' : 'free'
})
function setPin(to: Pin) {
  const id = props.lure.finish!.id
  settings.kitKeep = [...settings.kitKeep.filter(i => i !== id), ...(to === 'keep' ? [id] : [])]
  settings.kitDrop = [...settings.kitDrop.filter(i => i !== id), ...(to === 'drop' ? [id] : [])]
}

/** The parts that are painted, as they are now. */
const parts = computed(() =>
  (props.lure.finish?.parts ?? [])
    .filter(p => p.part !== 'hook' && p.part !== 'bill')
    .map(p => ({
      part: p.part,
      words: cap(p.part),
      own: b.value.coats?.[p.part] ?? null,
      colour: hex(srgbOfCoat(p.coat)),
      material: p.coat.material as Material,
    })),
)
function paint(part: Part, patch: Partial<OwnCoat>) {
  const now = parts.value.find(p => p.part === part)!
  const coat = { colour: now.colour, material: now.material, ...now.own, ...patch }
  set({ coats: { ...b.value.coats, [part]: { ...coat, colour: coat.colour.toLowerCase() } } })
}
function plain(part: Part) {
  const { [part]: _, ...coats } = b.value.coats ?? {}
  set({ coats })
}
const wanted = computed(() =>
  parts.value.map(p => ({ key: p.part, words: p.words, colour: p.colour, how: 'where the light is even.' })),
)
async function remove() {
  await box.remove(props.lure.id)
  emit('gone')
}
</script>

<template>
  <div class="grid gap-6 lg:grid-cols-2">
    <section>
      <span class="mb-2 block h-28 bg-plate p-2">
        <HandFigure v-if="lure.finish" :finish="lure.finish" :line="1.6" />
      </span>
      <ConditionRow label="Name">
        <LineField label="Name" :value="b.name" needed @change="name => set({ name })" />
      </ConditionRow>
      <ConditionRow label="How many">
        <NumberField
          label="How many"
          :value="b.count"
          :scale="PIECES"
          :min="0"
          :max="999"
          @change="v => set({ count: Math.round(v) })"
        />
      </ConditionRow>
      <ConditionRow label="Wear">
        <Choice label="Wear" :value="b.wear" :options="WEAR_OPTIONS" @change="v => set({ wear: v })" />
      </ConditionRow>
      <ConditionRow label="Kept in">
        <LineField label="Kept in" :value="b.keptIn" @change="keptIn => set({ keptIn })" />
      </ConditionRow>
      <ConditionRow label="Note">
        <LineField label="Note" :value="b.note" :most="500" @change="note => set({ note })" />
      </ConditionRow>
      <ConditionRow v-if="lure.finish" label="In kits">
        <Choice label="In kits" :value="pin" :options="PINS" @change="setPin" />
      </ConditionRow>
      <p class="mt-3 flex flex-wrap gap-2">
        <button type="button" class="quiet" @click="set({ retired: !b.retired })">
          {{ b.retired ? 'Carry it again' : 'Retire it' }}
        </button>
        <button type="button" class="quiet" @click="remove">Take it out of the box</button>
      </p>
    </section>
    <section>
      <h3 class="figure text-value font-bold">Colours of its own</h3>
      <p class="text-note text-ink2">
        From a photo in shade or daylight, with nothing coloured near by; or by hand. What you change is this lure's
        alone.
      </p>
      <PhotoLoupe
        class="my-2"
        :wanted="wanted"
        label="Photo of the lure"
        @pick="(part, colour) => paint(part, { colour })"
      />
      <ul>
        <li
          v-for="p in parts"
          :key="p.part"
          class="flex min-h-12 flex-wrap items-center justify-between gap-2 border-t border-hair"
        >
          <span class="w-16">{{ p.words }}</span>
          <input
            type="color"
            class="h-11 w-14"
            :value="p.colour"
            :aria-label="`Colour of the ${p.part}`"
            @change="e => paint(p.part, { colour: text(e) })"
          />
          <Choice
            class="min-w-36"
            :label="`Material of the ${p.part}`"
            :value="p.material"
            :options="MATERIAL_OPTIONS"
            @change="v => paint(p.part, { material: v })"
          />
          <button v-if="p.own" type="button" class="min-h-11 underline" @click="plain(p.part)">as made</button>
          <span v-else class="w-14" />
        </li>
      </ul>
    </section>
  </div>
</template>
