<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed } from 'vue'
import { finishById } from '#core/lure/finish'
import { useUnits } from '~/settings/useUnits'
import { type ListedCall, useCallsStore } from '~/kept/store'
import { useRecordsStore } from '~/records/store'
import { JAR_WORDS } from '~/words/options'
import RecoveryCode from './RecoveryCode.vue'
import HandFigure from '~/figures/HandFigure.vue'

/** What was tied on, when, and in what water. */
const calls = useCallsStore()
const records = useRecordsStore()
const { lengthText } = useUnits()
const when = (c: ListedCall) => DateTime.fromISO(c.keptAt).toFormat('d LLL, HH:mm')
const conditions = (c: ListedCall) => {
  const { tint, visibilityM } = c.asked.water
  const place = c.rank ? `, ranked ${c.rank}` : ''
  const log = c.leaned ? `, from a list that leaned on your log by ${Math.round(100 * c.leaned)} %` : ''
  return `${when(c)}. ${JAR_WORDS[tint]} to ${lengthText(visibilityM)}${place}${log}.`
}
const file = computed(() => `data:application/json,${encodeURIComponent(JSON.stringify(calls.all, null, 2))}`)
const figure = (c: ListedCall) => finishById(c.tiedOn)
</script>

<template>
  <p v-if="records.state === 'loading'" aria-busy="true">Fetching your calls …</p>
  <div v-else-if="!calls.all.length">
    <p>Nothing kept yet.</p>
    <p class="mt-2 text-ink2">
      When you tie a lure on, keep the call: the water, the light and the ranking of that moment are kept with it, so
      that you can see later what earned its place.
    </p>
  </div>
  <ul v-else>
    <li v-for="c in calls.all" :key="c.id" class="flex items-center gap-3 border-b border-hair py-2" data-testid="kept">
      <span class="h-11.5 w-21.5 shrink-0 bg-plate p-1">
        <HandFigure v-if="figure(c)" :finish="figure(c)!" :line="2.6" />
      </span>
      <span class="min-w-0 flex-1 leading-tight">
        <span class="block font-bold">{{ c.name }}</span>
        <span class="block text-ink2">{{ conditions(c) }}</span>
        <span v-if="c.state === 'waiting'" class="block font-semibold">
          On this device only; it is sent as soon as the server answers.
        </span>
        <span v-if="c.state === 'refused'" class="block font-semibold">{{ c.why }} It is still on this device.</span>
      </span>
      <button
        type="button"
        class="min-h-11 px-2 underline"
        :aria-label="`Take back ${c.name}`"
        @click="calls.forget(c.id)"
      >
        Take back
      </button>
    </li>
  </ul>
  <a
    v-if="calls.all.length"
    class="mt-3 inline-flex min-h-11 items-center underline"
    :href="file"
    download="kept-calls.json"
  >
    Save all as a file (JSON)
  </a>
  <RecoveryCode />
</template>
