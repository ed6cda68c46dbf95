<script setup lang="ts">
import { finishById } from '#core/lure/finish'
import type { Reading } from '#core/request/readings'
import { computed } from 'vue'
import { plainScale } from '~/settings/plainScale'
import { useUnits } from '~/settings/useUnits'
import { READING_NAMES, TINT_OPTIONS } from '~/words/options'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'
import JarPhoto from './JarPhoto.vue'

/** One reading of the desk: what it is, and its figures to be mended. */
const props = defineProps<{
  reading: Reading
  place: number
  /** The finish on the plate, offered as a target. */ chosenId: string | null
  clash: boolean
}>()
const emit = defineEmits<{ change: [reading: Reading]; remove: [] }>()
/** Samples that are shown without being asked for. */
const FEW = 6
const { length, lengthText } = useUnits()
const [FNU, LUX, CM] = [plainScale('FNU', 1), plainScale('lux', 0), plainScale('cm', 0, 100)]
const targets = computed(() => {
  const mine = [props.chosenId, props.reading.kind === 'target' ? props.reading.target : null]
  const finishes = [...new Set(mine)].flatMap(id => (id && finishById(id)) || [])
  return [
    { value: 'white', words: 'Something white' },
    { value: 'black', words: 'Something black' },
    ...finishes.map(f => ({ value: f.id, words: f.name })),
  ]
})
const THINGS = [
  { value: 'motor' as const, words: 'The motor' },
  { value: 'boots' as const, words: 'My boots' },
]
const set = (patch: object) => emit('change', { ...props.reading, ...patch } as Reading)
type Light = Extract<Reading, { kind: 'light' }>
function sample(i: number, patch: object) {
  const { samples } = props.reading as Light
  set({ samples: samples.map((s, k) => (k === i ? { ...s, ...patch } : s)) })
}
function addSample() {
  const { samples } = props.reading as Light
  const last = samples.at(-1)!
  set({
    samples: [...samples, { depthM: Number((last.depthM * 1.5 + 0.1).toFixed(2)), lux: Math.max(1, last.lux / 2) }],
  })
}
</script>

<template>
  <li class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hair py-1" data-testid="reading">
    <span class="figure w-6 text-right font-bold" :class="clash ? 'chosen' : ''">{{ place + 1 }}</span>
    <span class="font-semibold">{{ READING_NAMES[reading.kind] }}</span>
    <Choice
      v-if="reading.kind === 'target'"
      label="What was lowered"
      :value="reading.target"
      :options="targets"
      @change="target => set({ target })"
    />
    <Choice
      v-else-if="reading.kind === 'seen-to'"
      label="What was last seen"
      :value="reading.what"
      :options="THINGS"
      @change="what => set({ what })"
    />
    <Choice
      v-else-if="reading.kind === 'look'"
      label="Tint it looked like"
      :value="reading.tint"
      :options="TINT_OPTIONS"
      @change="tint => set({ tint })"
    />
    <NumberField
      v-if="'depthM' in reading"
      :label="`Depth of reading ${place + 1}`"
      :value="reading.depthM"
      :scale="length"
      :min="0"
      :max="60"
      @change="depthM => set({ depthM })"
    />
    <NumberField
      v-else-if="reading.kind === 'turbidity'"
      label="Turbidity"
      :value="reading.fnu"
      :scale="FNU"
      :min="0"
      :max="4000"
      @change="fnu => set({ fnu })"
    />
    <NumberField
      v-else-if="reading.kind === 'jar'"
      label="Breadth of the jar"
      :value="reading.pathM"
      :scale="CM"
      :min="0.01"
      :max="2"
      @change="pathM => set({ pathM })"
    />
    <button
      type="button"
      class="ml-auto min-h-11 px-2 underline"
      :aria-label="`Take reading ${place + 1} away`"
      @click="$emit('remove')"
    >
      Take away
    </button>
    <JarPhoto v-if="reading.kind === 'jar'" :jar="reading" @change="jar => $emit('change', jar)" />
    <details v-if="reading.kind === 'light'" class="w-full pl-9" :open="reading.samples.length <= FEW">
      <summary class="min-h-11 cursor-pointer py-2">
        {{ reading.samples.length }} samples to {{ lengthText(reading.samples.at(-1)!.depthM) }}
      </summary>
      <ul>
        <li v-for="(s, i) in reading.samples" :key="i" class="flex items-center gap-2 py-0.5">
          at
          <NumberField
            :label="`Depth of sample ${i + 1}`"
            :value="s.depthM"
            :scale="length"
            :min="0"
            :max="60"
            @change="depthM => sample(i, { depthM })"
          />
          <NumberField
            :label="`Light of sample ${i + 1}`"
            :value="s.lux"
            :scale="LUX"
            :min="0.000001"
            :max="200000"
            @change="lux => sample(i, { lux })"
          />
        </li>
        <li><button type="button" class="min-h-11 underline" @click="addSample">Add a sample</button></li>
      </ul>
    </details>
  </li>
</template>
