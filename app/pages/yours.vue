<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useSheet } from '~/common/useSheet'
import { useCallsStore } from '~/kept/store'
import { useReadingLink } from '~/reading/useReadingLink'
import { useRecordsStore } from '~/records/store'
import { useWatersStore } from '~/waters/store'
import { AWAY } from '~/common/ask'
import CrewPanel from '~/yours/CrewPanel.vue'
import EverythingPanel from '~/yours/EverythingPanel.vue'
import GoAlong from '~/yours/GoAlong.vue'
import SharesPanel from '~/yours/SharesPanel.vue'
import UndoTaken from '~/yours/UndoTaken.vue'
import WhoPanel from '~/yours/WhoPanel.vue'
import { useYoursStore } from '~/yours/store'
import { thisDevice } from '~/yours/deviceWords'

/** What is the angler's own: the account and its devices, the crew, links, everything out and everything away. */
definePageMeta({ layout: false })
useReadingLink()
const yours = useYoursStore()
const records = useRecordsStore()
const waters = useWatersStore()
const calls = useCallsStore()
const route = useRoute()
const router = useRouter()
const { covered } = useSheet({ where: 'Where and when' })
/** The word of an invitation stands after the mark of the address: it is never sent with it. */
const token = ref(/^#go-along=([\w-]{22})$/.exec(route.hash)?.[1] ?? '')
const device = computed(() => thisDevice(yours.account?.devices))
onMounted(async () => {
  void waters.load()
  void calls.load()
  await records.load()
  await yours.load()
})
function answered() {
  token.value = ''
  void router.replace({ hash: '' })
}
function close() {
  if (window.history.state?.back) router.back()
  else void router.push('/')
}
</script>

<template>
  <NuxtLayout name="place" foot="pb-20" desk="grid-cols-1 grid-rows-[auto_minmax(0,1fr)]">
    <div class="scrolls min-h-0" :inert="covered">
      <header class="flex min-h-11 flex-wrap items-center gap-x-4 border-b-2 border-ink px-4">
        <h2 class="figure text-lead font-bold">Yours</h2>
        <p class="flex-1 max-[899px]:sr-only">Kept on {{ device }} first. Everything works without signing in.</p>
        <button type="button" class="ml-auto min-h-11 font-bold" @click="close">Close</button>
      </header>
      <UndoTaken v-if="yours.takenAway" />
      <GoAlong v-if="token && yours.state === 'here'" :token="token" @done="answered" />
      <p v-if="yours.state === 'away'" role="status" class="border-b-2 border-ink bg-sunk px-4 py-2 font-semibold">
        {{ AWAY }} What is on {{ device }} works all the same; signing in, crew and links wait.
        <button type="button" class="min-h-11 underline" @click="yours.load()">Ask again</button>
      </p>
      <div class="grid lg:grid-cols-3">
        <div class="flex min-w-0 flex-col gap-8 p-4">
          <WhoPanel />
          <EverythingPanel />
        </div>
        <CrewPanel class="min-w-0 border-hair p-4 lg:border-x" />
        <SharesPanel class="min-w-0 p-4" />
      </div>
    </div>
  </NuxtLayout>
</template>
