<script setup lang="ts">
import { computed, ref } from 'vue'
import type { RecordKind } from '#shared/schema/record'
import { useRecordsStore } from '~/records/store'

/** Changes that the server would not take: why, where they are mended, a file of them, and the way to drop them. */
const records = useRecordsStore()
const open = ref(false)
const n = computed(() => records.refused.length)
const title = computed(() => (n.value === 1 ? 'One change was not taken' : `${n.value} changes were not taken`))

/** What each kind is called, and the place where it is changed. */
const KINDS: Record<RecordKind, { words: string; to: string; place: string }> = {
  call: { words: 'Call', to: '/', place: 'Water' },
  plan: { words: 'Plan', to: '/day', place: 'Day' },
  lure: { words: 'Lure', to: '/box', place: 'Box' },
  water: { words: 'Water', to: '/', place: 'Water' },
  spot: { words: 'Spot', to: '/', place: 'Water' },
  reading: { words: 'Reading', to: '/', place: 'Water' },
  answer: { words: 'Answer', to: '/bench', place: 'Bench' },
  trip: { words: 'Trip', to: '/log', place: 'Log' },
  tap: { words: 'Tap', to: '/log', place: 'Log' },
}
const rows = computed(() =>
  records.refused.map(({ event, why }) => {
    const { name } = (event.body ?? {}) as { name?: string }
    return { id: event.id, ...KINDS[event.kind], name: name ?? '', why }
  }),
)
const file = computed(() => `data:application/json,${encodeURIComponent(JSON.stringify(records.refused, null, 2))}`)
</script>

<template>
  <section
    v-if="n"
    role="status"
    :aria-label="title"
    class="banner fixed right-2 bottom-34 z-40 w-80 p-3 sm:bottom-2"
    data-testid="not-taken"
  >
    <p>
      <b>{{ title }}:</b>
      {{ rows[0]!.why }} {{ n === 1 ? 'It is' : 'They are' }} still on this device.
    </p>
    <ul v-if="open" class="mt-2">
      <li v-for="r in rows" :key="r.id" class="border-t border-hair py-2">
        <p>
          <b>{{ r.words }}</b>
          {{ r.name }}
        </p>
        <p class="text-ink2">{{ r.why }}</p>
        <p class="flex gap-4">
          <NuxtLink class="inline-flex min-h-11 items-center underline" :to="r.to">
            Correct it in {{ r.place }}
          </NuxtLink>
          <button type="button" class="min-h-11 underline" @click="records.drop([r.id])">Drop it</button>
        </p>
      </li>
    </ul>
    <p class="mt-2 flex flex-wrap items-center gap-2">
      <button type="button" class="quiet" :aria-expanded="open" @click="open = !open">
        {{ open ? 'Close the list' : 'Look at them' }}
      </button>
      <a class="inline-flex min-h-11 items-center underline" :href="file" download="not-taken.json">Save as a file</a>
    </p>
  </section>
</template>
