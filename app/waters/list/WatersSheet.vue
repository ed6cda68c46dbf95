<script setup lang="ts">
import { computed, ref } from 'vue'
import { firstWater } from '~/waters/first'
import { type WaterOut, useWatersStore } from '~/waters/store'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { useUnits } from '~/settings/useUnits'
import { JAR_WORDS, cap } from '~/words/options'
import JarFigure from '~/figures/JarFigure.vue'
import EditWater from './EditWater.vue'
import ReadingHistory from './ReadingHistory.vue'
import SpotList from './SpotList.vue'
import WaterFiles from './WaterFiles.vue'

/** Every water that is fished: chosen, made, changed, with its spots and what was read there. */
defineEmits<{ close: [] }>()
const waters = useWatersStore()
const reading = useReadingStore()
const records = useRecordsStore()
const { lengthText } = useUnits()
const shownId = ref<string | null>(reading.reading.waterId)
const files = ref(false)
const shown = computed(() => waters.list.find(w => w.id === shownId.value) ?? null)
const archived = computed(() => waters.own.filter(w => w.body.archived))
const groups = computed(() =>
  [
    { name: 'Mine', list: waters.list.filter(w => w.own) },
    { name: 'The made-up basin', list: waters.list.filter(w => !w.own) },
  ].filter(g => g.list.length),
)
const look = (w: WaterOut) => `${JAR_WORDS[w.usualTint]} to ${lengthText(w.usualVisibilityM)}`
async function add() {
  files.value = false
  shownId.value = await waters.putWater(firstWater(reading.reading))
}
async function mine(w: WaterOut) {
  shownId.value = await waters.makeMine(w)
}
const bringBack = (id: string) => {
  const water = archived.value.find(w => w.id === id)
  if (water) void waters.putWater({ ...water.body, archived: false }, id)
}
</script>

<template>
  <div class="grid gap-5 lg:grid-cols-[minmax(260px,2fr)_3fr]">
    <section aria-label="Waters">
      <p class="mb-3 flex flex-wrap gap-2">
        <button type="button" class="action" @click="add">New water</button>
        <button type="button" class="quiet" :aria-pressed="files" @click="files = !files">Files</button>
      </p>
      <p v-if="records.words" role="status" class="mb-3 border border-ink p-2">{{ records.words }}</p>
      <p v-if="waters.state === 'away' && !waters.list.length">
        The basin's waters cannot be reached just now. Your own can be made all the same.
      </p>
      <template v-for="g in groups" :key="g.name">
        <h3 class="figure mt-3 text-value font-bold">{{ g.name }}</h3>
        <ul>
          <li v-for="w in g.list" :key="w.id" class="border-t border-hair">
            <button
              type="button"
              class="flex min-h-14 w-full items-center gap-3 px-2 text-left leading-tight"
              :class="w.id === shownId && !files ? 'bg-ink text-page' : ''"
              :aria-pressed="w.id === shownId && !files"
              @click="((shownId = w.id), (files = false))"
            >
              <JarFigure :tint="w.usualTint" />
              <span class="min-w-0 flex-1">
                <b class="block">{{ w.name }}</b>
                <span class="block text-small">{{ [cap(w.kind), look(w)].filter(Boolean).join('. ') }}</span>
              </span>
              <span v-if="w.id === reading.reading.waterId" class="text-note font-semibold">fished now</span>
            </button>
          </li>
        </ul>
      </template>
      <details v-if="archived.length" class="mt-3">
        <summary class="min-h-11 cursor-pointer py-2 font-semibold">Archived, {{ archived.length }}</summary>
        <ul>
          <li v-for="w in archived" :key="w.id" class="flex items-center justify-between border-t border-hair">
            {{ w.body.name }}
            <button type="button" class="min-h-11 px-2 underline" @click="bringBack(w.id)">
              List it again
              <span class="off">: {{ w.body.name }}</span>
            </button>
          </li>
        </ul>
      </details>
    </section>
    <WaterFiles v-if="files" :water-id="shown?.own ? shown.id : null" />
    <section v-else-if="shown" :aria-label="shown.name">
      <div class="flex flex-wrap items-center gap-2">
        <h3 class="figure min-w-0 flex-1 text-lead font-bold">{{ shown.name }}</h3>
        <button type="button" class="action" @click="(waters.choose(shown.id), $emit('close'))">Fish here</button>
        <button v-if="!shown.own" type="button" class="quiet" @click="mine(shown)">Make it mine</button>
      </div>
      <EditWater v-if="shown.own" :key="shown.id" :water="shown" @archived="shownId = null" />
      <p v-else class="my-2 leading-snug">
        {{ shown.note }} It belongs to the made-up basin and cannot be changed; a copy of your own can.
      </p>
      <SpotList :water="shown" @fished="$emit('close')" />
      <ReadingHistory :water-id="shown.id" />
    </section>
    <p v-else class="leading-snug">
      Choose a water to see its spots and what was read there, or make one of your own: it starts from what is on the
      screen now.
    </p>
  </div>
</template>
