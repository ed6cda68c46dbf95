<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, ref } from 'vue'
import { type SharingStep, dayAt } from '#shared/crew'
import { useRecordsStore } from '~/records/store'
import { useReadingStore } from '~/reading/store'
import CrewDays from './CrewDays.vue'
import StepSlider from './StepSlider.vue'
import { useCopy } from './useCopy'
import { useYoursStore } from './store'

/** The crew: how much each is shown, what they then see, and what they show. */
const yours = useYoursStore()
const records = useRecordsStore()
const reading = useReadingStore()
const nowMs = Date.now()
const people = computed(() => yours.crew?.people ?? [])
const words = ref('')
const link = ref('')
const { copied, copy } = useCopy(() => link.value)
const open = ref<string | null>(null)
/** Whose view of the angler's last day is shown: who was changed last, else the first. */
const looked = ref<string | null>(null)
const viewer = computed(() => people.value.find(p => p.id === looked.value) ?? people.value[0] ?? null)

const lastTrip = computed(() =>
  records
    .list('trip')
    .reduce<ReturnType<typeof records.list<'trip'>>[number] | null>(
      (last, t) => (!last || t.body.startedAt > last.body.startedAt ? t : last),
      null,
    ),
)
/** The last day as the viewer sees it: by the very function that the server shows it by. */
const seen = computed(() => {
  const trip = lastTrip.value
  if (!trip || !viewer.value) return null
  const taps = records.list('tap').flatMap(t => (t.body.tripId === trip.id ? [t.body] : []))
  const water = records.list('water').find(w => w.id === trip.body.waterId)?.body ?? null
  return dayAt(viewer.value.may, { id: trip.id, trip: trip.body, taps, water }, nowMs)
})
const lastDay = computed(() =>
  lastTrip.value
    ? DateTime.fromISO(lastTrip.value.body.startedAt, { zone: reading.reading.zone }).toFormat('d LLLL')
    : '',
)
const SEES: Record<SharingStep, string> = {
  nothing: 'sees nothing of yours',
  days: 'knows that you went',
  lures: 'knows what you threw, not where',
  spots: 'knows what you threw, and where',
}
async function show(id: string, may: SharingStep) {
  looked.value = id
  const done = await yours.show(id, may)
  words.value = done.ok ? '' : done.words
}
async function ask() {
  const done = await yours.invite()
  words.value = done.ok ? '' : done.words
  // After the mark, the word never reaches a server's log.
  if (done.ok) link.value = `${location.origin}/yours#go-along=${done.value.token}`
}
async function told(go: () => Promise<{ ok: boolean; words?: string }>) {
  const done = await go()
  words.value = done.ok ? '' : (done.words ?? '')
}
</script>

<template>
  <section aria-labelledby="yours-crew">
    <header class="flex items-baseline justify-between border-b-2 border-ink pb-1">
      <h2 id="yours-crew" class="figure text-title font-bold">Crew</h2>
      <span v-if="people.length" class="text-ink2">pull each to what they may see</span>
    </header>
    <p v-if="!yours.isAccount" class="py-3 text-ink2">
      Friends see of your days what you give each of them, and no more. It needs a name first: make a passkey or a
      password.
    </p>
    <template v-else>
      <p v-if="!people.length" class="py-3 text-ink2">
        Nobody yet. Send a link to somebody you fish with; you then see when the other was out, and either may change
        it.
      </p>
      <div v-for="p in people" :key="p.id" class="border-b border-hair py-3">
        <StepSlider :name="p.name" :step="p.may" :sees="SEES[p.may]" @change="may => show(p.id, may)" />
        <p class="flex flex-wrap items-center gap-x-4">
          <button
            type="button"
            class="min-h-11 underline"
            :aria-expanded="open === p.id"
            @click="open = open === p.id ? null : p.id"
          >
            What {{ p.name }} shows you: {{ p.shows }}
          </button>
          <button type="button" class="min-h-11 underline" :disabled="yours.busy" @click="told(() => yours.part(p.id))">
            Part with {{ p.name }}
          </button>
        </p>
        <CrewDays v-if="open === p.id" :person="p" />
      </div>
      <div class="flex flex-wrap items-center gap-3 py-3">
        <button type="button" class="quiet min-w-44" :disabled="yours.busy" @click="ask">Ask someone along</button>
        <span class="min-w-40 flex-1 leading-snug text-ink2">A link for one person, good once, for a week.</span>
      </div>
      <div v-if="link" class="border-2 border-ink p-3">
        <p class="break-all select-all" data-testid="invitation">{{ link }}</p>
        <button type="button" class="quiet mt-2" @click="copy">Copy the link</button>
        <p v-if="copied" role="status" class="font-semibold">{{ copied }}</p>
      </div>
      <ul v-if="yours.crew?.invites.length">
        <li
          v-for="i in yours.crew.invites"
          :key="i.id"
          class="flex items-center justify-between gap-3 border-t border-hair py-1"
        >
          <span>Asked, good until {{ DateTime.fromISO(i.until).toFormat('d LLLL') }}</span>
          <button type="button" class="quiet" :disabled="yours.busy" @click="told(() => yours.withdraw(i.id))">
            Take back
          </button>
        </li>
      </ul>
    </template>
    <p v-if="words" role="status" class="py-2 font-semibold">{{ words }}</p>
    <p class="border-t border-ink pt-3 leading-snug">
      <b>Days:</b>
      when and how many.
      <b>Lures:</b>
      also what you threw and what came of it.
      <b>Spots:</b>
      also where. Nobody sees more by someone else’s leave, and each sees what they are shown.
    </p>
    <div v-if="viewer && lastTrip" class="mt-3 border border-ink p-3">
      <h3 class="figure text-value font-bold">What {{ viewer.name }} sees of {{ lastDay }}</h3>
      <CrewDays v-if="seen" :days="[seen]" hides />
      <p v-else>Nothing.</p>
    </div>
  </section>
</template>
