<script setup lang="ts">
import { computed, ref } from 'vue'
import { finishById, finishesOf } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'
import type { Rod, TrialPart } from '#shared/schema/record'
import { useCallsStore } from '~/kept/store'
import { useLogStore } from '~/log/store'
import { requestOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { useSettingsStore } from '~/settings/store'
import { useWatersStore } from '~/waters/store'
import { LURE_OPTIONS, ROD_NAMES } from '~/words/options'
import Choice from '~/components/common/Choice.vue'
import NumberField from '~/components/common/NumberField.vue'
import ConditionRow from '~/components/conditions/ConditionRow.vue'
import HandFigure from '~/components/figure/HandFigure.vue'
import { plainScale } from '~/settings/plainScale'

/** Start a trip, or a fair test of two: the water and conditions are those in Water, the rods as they are rigged. */
const props = defineProps<{ trial: boolean }>()
const log = useLogStore()
const calls = useCallsStore()
const records = useRecordsStore()
const reading = useReadingStore()
const settings = useSettingsStore()
const waters = useWatersStore()
const PIECES = plainScale('', 0)
const rodOf = (finishId: string): Rod | null => {
  const finish = finishById(finishId)
  return finish ? { lure: finish.lure, finishId } : null
}
const fromCalls = computed(() => [...new Set(calls.all.map(c => c.tiedOn.id))].slice(0, 3))
const plan = computed(() => records.list('plan').sort((a, b) => b.at.localeCompare(a.at))[0] ?? null)
const usual = () =>
  finishesOf(reading.reading.lure)
    .slice(0, props.trial ? 2 : 3)
    .map(f => f.id)
const ids = ref<string[]>(props.trial ? usual() : fromCalls.value.length ? [...fromCalls.value] : usual())
const rods = computed(() => ids.value.flatMap(id => rodOf(id) ?? []))
const sides = ['Lure A', 'Lure B']
function setLure(i: number, lure: LureId) {
  const first = finishesOf(lure).find(f => !ids.value.includes(f.id))!.id
  // In a test one thing differs: both are the same lure.
  ids.value = props.trial
    ? finishesOf(lure)
        .slice(0, 2)
        .map(f => f.id)
    : ids.value.with(i, first)
}
const finishOptions = (lure: LureId) => finishesOf(lure).map(f => ({ value: f.id, words: f.name }))
const casts = ref(20)
const pairs = ref(10)
const leaveOutBroken = ref(true)
const same = computed(() => props.trial && rods.value[0]?.finishId === rods.value[1]?.finishId)
async function start() {
  const trial: TrialPart | null = props.trial
    ? {
        castsPerSpell: casts.value,
        blocks: pairs.value,
        seed: Date.now() % 2 ** 31,
        leaveOutBroken: leaveOutBroken.value,
      }
    : null
  const { waterId } = reading.reading
  const asked = requestOf(reading.reading, settings.units)
  const name = waters.current?.name ?? ''
  await log.start({ name, waterId, rods: rods.value, asked, trial, note: '' })
}
</script>

<template>
  <section class="p-4" :aria-label="trial ? 'Start a test' : 'Start a trip'">
    <h2 class="figure text-lead font-bold">{{ trial ? 'Two colours, one lure' : 'Start a trip' }}</h2>
    <p class="leading-snug">
      On {{ waters.current?.name ?? 'the water' }} as it stands in Water.
      <template v-if="trial">
        The order is drawn beforehand, in pairs of spells, and stays hidden until you cast. Most days are too short to
        prove anything: with a bite in every tenth cast, a lure twice as good shows itself after some 500 casts, and one
        half as good again not in a season. Looking early fools nobody: the odds it counts by allow for it.
      </template>
      <template v-else>Every tap is kept on this device first, and sent when there is a signal.</template>
    </p>
    <p v-if="!trial" class="my-2 flex flex-wrap gap-2">
      <button v-if="fromCalls.length" type="button" class="quiet" @click="ids = [...fromCalls]">
        Rods of my kept calls
      </button>
      <button v-if="plan" type="button" class="quiet" @click="ids = plan.body.pack.slice(0, 3)">
        Rods of the plan for {{ plan.body.asked.date }}
      </button>
    </p>
    <ConditionRow v-for="(rod, i) in rods" :key="i" :label="(trial ? sides : ROD_NAMES)[i]!">
      <span class="flex flex-wrap items-center gap-2">
        <span class="block h-11 w-21 bg-plate p-1">
          <HandFigure :finish="finishById(rod.finishId)!" :line="2.4" />
        </span>
        <Choice
          v-if="!trial || i === 0"
          :label="`Lure of ${(trial ? sides : ROD_NAMES)[i]!.toLowerCase()}`"
          :value="rod.lure"
          :options="LURE_OPTIONS"
          @change="v => setLure(i, v)"
        />
        <Choice
          :label="`Finish of ${(trial ? sides : ROD_NAMES)[i]!.toLowerCase()}`"
          :value="rod.finishId"
          :options="finishOptions(rod.lure)"
          @change="v => (ids = ids.with(i, v))"
        />
        <button
          v-if="!trial && rods.length > 1"
          type="button"
          class="min-h-11 px-2 underline"
          :aria-label="`Without the ${ROD_NAMES[i]!.toLowerCase()}`"
          @click="ids = ids.toSpliced(i, 1)"
        >
          Without
        </button>
      </span>
    </ConditionRow>
    <button
      v-if="!trial && rods.length < 3"
      type="button"
      class="quiet my-2"
      @click="ids = [...ids, finishesOf(reading.reading.lure).find(f => !ids.includes(f.id))!.id]"
    >
      Another rod
    </button>
    <template v-if="trial">
      <ConditionRow label="Casts in a spell">
        <NumberField
          label="Casts in a spell"
          :value="casts"
          :scale="PIECES"
          :min="1"
          :max="200"
          @change="v => (casts = Math.round(v))"
        />
      </ConditionRow>
      <ConditionRow label="Pairs of spells at most">
        <NumberField
          label="Pairs of spells"
          :value="pairs"
          :scale="PIECES"
          :min="1"
          :max="200"
          @change="v => (pairs = Math.round(v))"
        />
      </ConditionRow>
      <ConditionRow label="Leave out pairs with a broken spell">
        <input
          v-model="leaveOutBroken"
          type="checkbox"
          class="size-6 accent-ink"
          aria-label="Leave out pairs with a broken spell"
        />
      </ConditionRow>
      <p v-if="same" role="alert" class="py-2">One thing must differ: choose two finishes.</p>
    </template>
    <button type="button" class="action mt-3 disabled:opacity-60" :disabled="same || !rods.length" @click="start">
      {{ trial ? 'Begin the test' : 'On the water' }}
    </button>
  </section>
</template>
