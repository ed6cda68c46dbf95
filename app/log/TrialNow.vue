<script setup lang="ts">
import { computed } from 'vue'
import { useFinish } from '~/box/useFinish'
import { useLogStore } from './store'
import { spellOf } from './trial'
import { useTrial } from './useTrial'
import { byAngler } from './trip'
import { SPOIL_OPTIONS } from '~/words/options'
import CarriedRows from './CarriedRows.vue'
import LastTap from './LastTap.vue'
import TrialResult from './TrialResult.vue'
import TrialRoute from './TrialRoute.vue'
import TrialSwap from './TrialSwap.vue'
import TrialTargets, { type TrialColumn } from './TrialTargets.vue'

/** The fair test under way: what to tie on now, where the order has come to, and what the whole pairs show so far. */
const props = defineProps<{ phone: boolean }>()
const log = useLogStore()
const { finishOf } = useFinish()
const trip = computed(() => log.current!.body)
const per = computed(() => trip.value.trial!.castsPerSpell)
const { test, crew, rod, names, said, longer } = useTrial(
  () => trip.value,
  () => log.taps,
)
const tallies = computed(() => byAngler(trip.value, log.taps))
const columns = computed(() =>
  crew.value.map((name, who): TrialColumn => {
    // Until the rods are changed what was fished last is on the line.
    const { now, swap } = test.value
    const spell = spellOf(swap ? { ...test.value, now: now! - 1 } : test.value, who)
    return {
      who,
      name,
      finish: spell && finishOf(rod(spell.side).finishId),
      onLine: spell ? names.value[spell.side] : 'All spells are fished.',
      side: spell?.side ?? null,
      casts: spell?.casts ?? per.value,
      tally: tallies.value[who]!,
      waits: !spell || test.value.swap || spell.casts === per.value,
    }
  }),
)
const where = computed(() => {
  const { now, turns } = test.value
  if (now === null || crew.value.length > 1) return ''
  return `spell ${now + 1} of ${turns}`
})
const spoils = computed(() => [
  ...new Set(test.value.spells.filter(s => s.turn === test.value.now).flatMap(s => s.spoils)),
])
const spoilt = computed(() =>
  spoils.value.some(x => trip.value.trial!.leaveOut.includes(x))
    ? 'By the rule set beforehand its pair will be left out. Fish it to the end all the same.'
    : 'Noted. By the rule set beforehand its pair still counts.',
)
const route = computed(() => ({ trial: test.value, per: per.value, crew: crew.value, names: names.value }))
</script>

<template>
  <section aria-label="The test" :class="props.phone ? '' : 'grid grid-cols-[390px_minmax(0,1fr)]'">
    <div :class="phone ? '' : 'border-r-2 border-ink'">
      <TrialRoute v-if="phone && crew.length > 1" v-bind="route" short class="border-b-2 border-ink" />
      <TrialTargets :columns="columns" :per="per" :where="where" />
      <TrialSwap v-if="test.now !== null" :trial="test" :per="per" :crew="crew" :names="names" />
      <LastTap />
      <p v-if="phone" class="border-b border-hair px-4 py-2 leading-snug">
        <b>{{ said }}</b>
        {{ longer }}
      </p>
      <div v-if="test.now !== null" class="p-4">
        <p class="text-note text-ink2">A landed fish counts as a bite, and so does a miss. A cast comes first.</p>
        <p class="mt-2">This spell was spoilt{{ crew.length > 1 ? ', for both' : '' }}:</p>
        <p class="mt-1 flex flex-wrap gap-2">
          <button
            v-for="o in SPOIL_OPTIONS"
            :key="o.value"
            type="button"
            class="quiet disabled:opacity-60"
            :disabled="spoils.includes(o.value)"
            @click="log.tap('broken', { spoil: o.value })"
          >
            {{ o.words }}
          </button>
        </p>
        <p v-if="spoils.length" role="status" class="mt-1 text-note">{{ spoilt }}</p>
        <CarriedRows class="mt-2" />
      </div>
    </div>
    <TrialResult :trip="trip" :taps="log.taps" :short="phone && crew.length > 1">
      <button type="button" class="quiet mt-3" @click="log.end()">Stop, keep the count</button>
    </TrialResult>
  </section>
</template>
