<script setup lang="ts">
import { computed, ref } from 'vue'
import { finishById, finishesOf } from '#core/lure/finish'
import { useCallsStore } from '~/kept/store'
import { differences, pairFor } from '~/log/pair'
import { useLogStore } from '~/log/store'
import { requestOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { useSettingsStore } from '~/settings/store'
import { useWatersStore } from '~/waters/store'
import type { Difference, Rod, Spoil, TrialPart } from '#shared/schema/record'
import { DIFFERENCE_OPTIONS, ROD_NAMES, SPOIL_OPTIONS } from '~/words/options'
import CheckGrid from '~/components/common/CheckGrid.vue'
import Choice from '~/components/common/Choice.vue'
import NumberField from '~/components/common/NumberField.vue'
import ConditionRow from '~/components/conditions/ConditionRow.vue'
import { plainScale } from '~/settings/plainScale'
import RodRow from './RodRow.vue'

/** Start a trip, or a fair test of two: the water and conditions are those in Water, the rods as they are rigged. */
const props = defineProps<{ trial: boolean }>()
const log = useLogStore()
const calls = useCallsStore()
const records = useRecordsStore()
const reading = useReadingStore()
const settings = useSettingsStore()
const waters = useWatersStore()
const PIECES = plainScale('', 0)
const SIDES = ['Lure A', 'Lure B']
const rodsOf = (ids: readonly string[]) =>
  ids.flatMap((id): Rod[] => {
    const finish = finishById(id)
    return finish ? [{ lure: finish.lure, finishId: id }] : []
  })
const fromCalls = computed(() => rodsOf([...new Set(calls.all.map(c => c.tiedOn.id))].slice(0, 3)))
const plan = computed(() => records.list('plan').sort((a, b) => b.at.localeCompare(a.at))[0] ?? null)
const usual = (n: number) => rodsOf(finishesOf(reading.reading.lure).map(f => f.id)).slice(0, n)
const rods = ref<Rod[]>(
  props.trial ? pairFor('finish', usual(1)[0]!, undefined) : fromCalls.value.length ? fromCalls.value : usual(3),
)
const another = () => usual(99).find(r => !rods.value.some(x => x.finishId === r.finishId)) ?? usual(1)[0]!

// A test of two: one thing differs, and the second rod follows the first in everything else.
const differs = ref<Difference>('finish')
const casts = ref(20)
const pairs = ref(10)
const leaveOut = ref<Spoil[]>(['broken', 'moved'])
function pair(what: Difference, a = rods.value[0]!, b = rods.value[1]) {
  differs.value = what
  rods.value = pairFor(what, a, b)
}
function change(i: number, rod: Rod) {
  if (!props.trial) rods.value = rods.value.with(i, rod)
  else if (i === 0) pair(differs.value, rod)
  else pair(differs.value, rods.value[0], rod)
}
const may = (i: number): Difference[] => {
  if (!props.trial) return full.value ? ['lure', 'finish', 'line', 'size'] : ['lure', 'finish']
  const own: Difference[] = i === 0 ? ['lure', 'finish'] : []
  return [...new Set([...own, differs.value])]
}
const full = ref(false)
const untold = computed(() => {
  if (!props.trial) return ''
  const [a, b] = rods.value
  const apart = differences(a!, b!)
  if (apart.length === 1 && apart[0] === differs.value) return ''
  return differs.value === 'line' || differs.value === 'size'
    ? `One thing must differ: write the ${differs.value} of each.`
    : 'One thing must differ, and one alone: choose two that do.'
})
function turn(spoil: Spoil) {
  leaveOut.value = leaveOut.value.includes(spoil) ? leaveOut.value.filter(s => s !== spoil) : [...leaveOut.value, spoil]
}
async function start() {
  const trial: TrialPart | null = props.trial
    ? {
        differs: differs.value,
        castsPerSpell: casts.value,
        blocks: pairs.value,
        seed: Date.now() % 2 ** 31,
        leaveOut: leaveOut.value,
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
    <h2 class="figure text-lead font-bold">{{ trial ? 'A fair test of two' : 'Start a trip' }}</h2>
    <p class="leading-snug">
      On {{ waters.current?.name ?? 'the water' }} as it stands in Water.
      <template v-if="trial">
        The order is drawn beforehand, in pairs of spells. Most days are too short to prove anything: with a bite in
        every tenth cast, half of all tests find a lure twice as good within some 800 casts and nine in ten within
        1,600; one half as good again takes 2,000 and more. Looking early fools nobody: the odds it counts by allow for
        it.
      </template>
      <template v-else>Every tap is kept on this device first, and sent when there is a signal.</template>
    </p>
    <p v-if="!trial" class="my-2 flex flex-wrap gap-2">
      <button v-if="fromCalls.length" type="button" class="quiet" @click="rods = [...fromCalls]">
        Rods of my kept calls
      </button>
      <button v-if="plan" type="button" class="quiet" @click="rods = rodsOf(plan.body.pack.slice(0, 3))">
        Rods of the plan for {{ plan.body.asked.date }}
      </button>
      <button type="button" class="quiet" :aria-pressed="full" @click="full = !full">
        {{ full ? 'Leave line and size out' : 'Say line and size too' }}
      </button>
    </p>
    <ConditionRow v-if="trial" label="The one thing that differs">
      <Choice label="What differs" :value="differs" :options="DIFFERENCE_OPTIONS" @change="v => pair(v)" />
    </ConditionRow>
    <RodRow
      v-for="(rod, i) in rods"
      :key="i"
      :name="(trial ? SIDES : ROD_NAMES)[i]!"
      :rod="rod"
      :may="may(i)"
      :own="!trial"
      @change="r => change(i, r)"
    >
      <button
        v-if="!trial && rods.length > 1"
        type="button"
        class="min-h-11 px-2 underline"
        :aria-label="`Without the ${ROD_NAMES[i]!.toLowerCase()}`"
        @click="rods = rods.toSpliced(i, 1)"
      >
        Without
      </button>
    </RodRow>
    <button v-if="!trial && rods.length < 3" type="button" class="quiet my-2" @click="rods = [...rods, another()]">
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
      <fieldset class="border-b border-hair py-1">
        <legend class="pt-2 font-semibold">Leave a pair out when in one of its spells</legend>
        <CheckGrid :options="SPOIL_OPTIONS" :on="s => leaveOut.includes(s)" @turn="turn" />
      </fieldset>
      <p v-if="untold" role="alert" class="py-2">{{ untold }}</p>
    </template>
    <button type="button" class="action mt-3 disabled:opacity-60" :disabled="!!untold || !rods.length" @click="start">
      {{ trial ? 'Begin the test' : 'On the water' }}
    </button>
  </section>
</template>
