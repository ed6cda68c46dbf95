<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { finishesOf } from '#core/lure/finish'
import { differences, pairFor } from './pair'
import { useRecordsStore } from '~/records/store'
import { useRigAsk } from '~/log/rig/useRigAsk'
import { useRigOrders } from '~/log/rig/useRigOrders'
import { useLogStore } from './store'
import { atTime, requestOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { useSettingsStore } from '~/settings/store'
import { useWatersStore } from '~/waters/store'
import type { Difference, Rod, Spoil, TrialPart } from '#shared/schema/record'
import { DIFFERENCE_OPTIONS, SPOIL_OPTIONS } from '~/words/options'
import CheckGrid from '~/common/CheckGrid.vue'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'
import ConditionRow from '~/common/rows/ConditionRow.vue'
import { plainScale } from '~/settings/plainScale'
import AboardRows from '~/common/AboardRows.vue'
import RodRow from './RodRow.vue'

/** Start a fair test of two: the water and conditions are those in Water. */
const log = useLogStore()
const records = useRecordsStore()
const reading = useReadingStore()
const settings = useSettingsStore()
const waters = useWatersStore()
const PIECES = plainScale('', 0)
const SIDES = ['Lure A', 'Lure B']
const [first] = finishesOf(reading.reading.lure)
const rods = ref<Rod[]>(pairFor('finish', { lure: first!.lure, finishId: first!.id }, undefined))
const crew = ref<string[]>([''])
/** Until something is chosen by hand the two are Water's first, and the next that a fish can tell from it. */
const chosen = ref(false)
const askOf = useRigAsk()
const { orders } = useRigOrders(() => [askOf(reading.reading.lure)])
watch(orders, ({ [reading.reading.lure]: told }) => {
  const [one, other] = told?.rotation ?? []
  if (!told || !one || chosen.value) return
  const { lure } = told
  const second = other?.finishId ?? told.order.find(o => o.finishId !== one.finishId)!.finishId
  rods.value = pairFor('finish', { lure, finishId: one.finishId }, { lure, finishId: second })
})

// A test of two: one thing differs, and the second rod follows the first in everything else.
const differs = ref<Difference>('finish')
const casts = ref(20)
const pairs = ref(10)
const leaveOut = ref<Spoil[]>(['broken', 'moved'])
function pair(what: Difference, a = rods.value[0]!, b = rods.value[1]) {
  chosen.value = true
  differs.value = what
  rods.value = pairFor(what, a, b)
}
const change = (i: number, rod: Rod) => (i === 0 ? pair(differs.value, rod) : pair(differs.value, rods.value[0], rod))
const may = (i: number): Difference[] => {
  const own: Difference[] = i === 0 ? ['lure', 'finish'] : []
  return [...new Set([...own, differs.value])]
}
const untold = computed(() => {
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
  const trial: TrialPart = {
    differs: differs.value,
    castsPerSpell: casts.value,
    blocks: pairs.value,
    seed: Date.now() % 2 ** 31,
    leaveOut: leaveOut.value,
  }
  const { waterId } = reading.reading
  const asked = atTime(requestOf(reading.reading, settings.units), Date.now())
  const name = waters.current?.name ?? ''
  const named = crew.value.some(Boolean) ? { crew: crew.value } : {}
  await log.start({ name, waterId, rods: rods.value, asked, trial, note: '', ...named })
}
</script>

<template>
  <section class="p-4" aria-label="Start a test">
    <h2 class="figure text-lead font-bold">A fair test of two</h2>
    <p class="leading-snug">
      On {{ waters.current?.name ?? 'the water' }} as it stands in Water. The order is drawn beforehand, in pairs of
      spells. Most days are too short to prove anything: with a bite in every tenth cast, half of all tests find a lure
      twice as good within some 800 casts and nine in ten within 1,600; one half as good again takes 2,000 and more.
      Looking early fools nobody: the odds it counts by allow for it.
    </p>
    <ConditionRow label="The one thing that differs">
      <Choice label="What differs" :value="differs" :options="DIFFERENCE_OPTIONS" @change="v => pair(v)" />
    </ConditionRow>
    <RodRow v-for="(rod, i) in rods" :key="i" :name="SIDES[i]!" :rod="rod" :may="may(i)" @change="r => change(i, r)" />
    <AboardRows v-model="crew" :most="2" class="mt-4">
      Both fish at once, with opposite things, and swap at equal casts: angler, hour and place in the boat fall out. Bow
      and stern change from pair to pair.
    </AboardRows>
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
    <button
      type="button"
      class="action mt-3 disabled:opacity-60"
      :disabled="!!untold || !rods.length || records.isMadeUp"
      @click="start"
    >
      Begin the test
    </button>
  </section>
</template>
