<script setup lang="ts">
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue'
import { usePhone } from '~/common/usePhone'
import { useSheet } from '~/common/useSheet'
import StartTrial from '~/log/StartTrial.vue'
import TrialNow from '~/log/TrialNow.vue'
import TripEnded from '~/log/TripEnded.vue'
import OnTrip from '~/log/OnTrip.vue'
import RigPanel from '~/log/rig/RigPanel.vue'
import { useCallsStore } from '~/kept/store'
import { useLogStore } from '~/log/store'
import { useReadingLink } from '~/reading/useReadingLink'
import { useRecordsStore } from '~/records/store'
import { useWatersStore } from '~/waters/store'

// Its files and their checks are not part of what a trip is opened with.
const SeasonPanel = defineAsyncComponent(() => import('~/log/season/SeasonPanel.vue'))

/** On the water: the trip under way, a fair test of two, and the season read back. */
definePageMeta({ layout: false })
useReadingLink()
const waters = useWatersStore()
const records = useRecordsStore()
const calls = useCallsStore()
const log = useLogStore()
const phone = usePhone()
const { covered } = useSheet({ where: 'Where and when' })
const TABS = ['Today', 'Fair test', 'Season'] as const
const tab = ref<(typeof TABS)[number]>('Today')
const testing = computed(() => !!log.current?.body.trial)
/** The trip that ended while this page was open. */
const endedId = ref<string | null>(null)
watch(
  () => log.current?.id,
  (now, before) => {
    if (before && !now) endedId.value = before
  },
)
const ended = computed(() => log.trips.find(t => t.id === endedId.value && t.body.endedAt && !t.body.trial) ?? null)
onMounted(async () => {
  void waters.load()
  void calls.load()
  await records.load()
  if (testing.value) tab.value = 'Fair test'
})
</script>

<template>
  <NuxtLayout name="place" wide over="row-start-3!" foot="pb-20" desk="grid-cols-1 grid-rows-[auto_auto_minmax(0,1fr)]">
    <nav class="figure flex border-b-2 border-ink" aria-label="Parts of the log">
      <button
        v-for="t in TABS"
        :key="t"
        type="button"
        class="min-h-11 flex-1 border-b-[7px] px-4 pt-1.5 font-semibold sm:flex-none"
        :class="tab === t ? 'border-ink font-bold' : 'border-transparent'"
        :aria-pressed="tab === t"
        @click="tab = t"
      >
        {{ t }}
      </button>
    </nav>
    <div
      :class="phone ? 'min-h-dvh' : 'scrolls min-h-0'"
      tabindex="0"
      role="region"
      aria-label="The log"
      :inert="covered"
    >
      <p v-if="records.state !== 'here'" class="p-4" aria-busy="true">Opening the log …</p>
      <SeasonPanel v-else-if="tab === 'Season'" />
      <template v-else-if="tab === 'Today'">
        <p v-if="testing" class="p-4">A test of two is under way: its taps are under the other tab.</p>
        <OnTrip v-else-if="log.current" :key="log.current.id" :phone="phone" />
        <template v-else>
          <TripEnded v-if="ended" :trip="ended" @close="endedId = null" @season="tab = 'Season'" />
          <RigPanel />
        </template>
      </template>
      <template v-else>
        <TrialNow v-if="testing" :phone="phone" />
        <p v-else-if="log.current" class="p-4">A trip is under way. End it first: a test wants all your casts.</p>
        <StartTrial v-else class="sm:max-w-[720px]" />
      </template>
    </div>
  </NuxtLayout>
</template>
