<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, ref } from 'vue'
import { useRecordsStore } from '~/records/store'
import { download } from '~/settings/download'
import { counted } from '~/words/numbers'
import HoldButton from './HoldButton.vue'
import { everythingFile, readEverything } from './everything'
import { useHeld } from './useHeld'
import { useYoursStore } from './store'

/** Everything in one file, out and in; and everything away. */
const yours = useYoursStore()
const records = useRecordsStore()
const held = useHeld()
const words = ref('')
const progress = ref('')
const size = computed(() =>
  held.bytes < 1e6 ? `${Math.max(1, Math.round(held.bytes / 1000))} kB` : `${(held.bytes / 1e6).toFixed(1)} MB`,
)
const figures = computed(
  () =>
    `${counted(held.counts.taps, 'tap')}, ${counted(held.counts.days, 'day')}, ${counted(held.counts.lures, 'lure')}`,
)
function save() {
  const nowMs = Date.now()
  const name = `piscator-everything-${DateTime.fromMillis(nowMs).toISODate()}.json`
  download(name, 'application/json', everythingFile(records.everything(), nowMs))
}
async function bring(input: HTMLInputElement) {
  const file = input.files?.[0]
  if (!file) return
  words.value = ''
  const read = await readEverything(await file.text(), (done, of) => (progress.value = `${done} of ${of} read`))
  progress.value = ''
  input.value = ''
  if (!read) {
    words.value = `${file.name} is no file of everything. Tables, routes and single kinds go in where they are kept.`
    return
  }
  const added = await records.bringIn(read.records)
  const same = read.records.length - added
  const left = read.faults.length ? ` ${counted(read.faults.length, 'record')} left out: ${read.faults[0]!.words}` : ''
  words.value = `${file.name}: ${added} added, ${same} were here.${left}`
}
async function takeAway() {
  const done = await yours.takeAway()
  if (!done.ok) words.value = done.words
}
</script>

<template>
  <section aria-labelledby="yours-everything">
    <header class="flex items-baseline justify-between border-b-2 border-ink pb-1">
      <h2 id="yours-everything" class="figure text-title font-bold">Everything</h2>
      <span class="text-ink2">{{ figures }}</span>
    </header>
    <div class="flex items-start gap-4 py-4">
      <svg
        class="w-20 shrink-0"
        viewBox="0 0 88 92"
        fill="none"
        stroke="currentColor"
        stroke-width="2"
        aria-hidden="true"
      >
        <path d="M2 2H66L86 22V90H2ZM66 2V22H86" />
        <text x="44" y="76" text-anchor="middle" fill="currentColor" stroke="none" class="figure text-small font-bold">
          {{ size }}
        </text>
      </svg>
      <div class="flex-1">
        <p class="leading-snug">
          <b>One file, readable without Piscator:</b>
          waters, trips, lures, tests, plans, calls.
        </p>
        <p class="mt-3 grid grid-cols-2 gap-2">
          <button type="button" class="action px-2!" @click="save">Save the file</button>
          <label class="quiet flex cursor-pointer items-center justify-center text-center has-focus-visible:outline-3">
            <input
              type="file"
              accept="application/json,.json"
              class="off"
              @change="bring($event.target as HTMLInputElement)"
            />
            Bring one back
          </label>
        </p>
      </div>
    </div>
    <p v-if="progress || words" role="status" class="pb-3 font-semibold">{{ progress || words }}</p>
    <div class="flex items-start gap-4 border-t border-ink pt-3">
      <p class="flex-1 leading-snug">
        <b class="block">Take everything away</b>
        From here at once, from the server within minutes. Undo stays on this screen for ten.
      </p>
      <HoldButton class="w-34" :disabled="yours.busy || records.isMadeUp" @held="takeAway">
        Hold to take it away
      </HoldButton>
    </div>
  </section>
</template>
