<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { finishById } from '#core/lure/finish'
import { TINTS } from '#core/water/tints'
import { MOST_READINGS, useDeskStore } from '~/desk/store'
import { useDesk } from '~/desk/useDesk'
import { requestOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { useSettingsStore } from '~/settings/store'
import { useUnits } from '~/settings/useUnits'
import { useWatersStore } from '~/waters/store'
import { useAnswers } from '~/water/useScreen'
import { READING_KINDS } from '#core/water/readingKinds'
import { JAR_WORDS, READING_NAMES } from '~/words/options'
import DepthBands from '~/desk/DepthBands.vue'
import TakenReadings from '~/instruments/TakenReadings.vue'
import ReadingRow from '~/desk/ReadingRow.vue'

/** The reading desk: whatever was read, weighed together into which water it is, how sure, and what to read next. */
const emit = defineEmits<{ close: [] }>()
const desk = useDeskStore()
const store = useReadingStore()
const records = useRecordsStore()
const waters = useWatersStore()
const settings = useSettingsStore()
const { screen } = useAnswers()
const { lengthText } = useUnits()
const plain = computed(() => JSON.parse(JSON.stringify(desk.readings)) as typeof desk.readings)
const pick = computed(() => screen.value?.rows[0]?.finishId ?? null)
const {
  answer: read,
  failed,
  busy,
  progress,
  sureness,
} = useDesk(() => ({
  readings: plain.value,
  request: requestOf(store.reading, settings.units),
  pick: pick.value,
}))
const nameOf = (id: string) => finishById(id)?.name ?? id
const tints = computed(() => (read.value?.answer.tints ?? []).filter(t => t.odds >= 0.02))
const best = computed(() => read.value?.answer.visibilityM ?? null)
const clashing = computed(() => new Set(read.value?.answer.conflicts.flatMap(c => c.paths)))
const next = computed(() => {
  const n = read.value?.answer.next
  return n && `${READING_NAMES[n.kind]}${n.target ? `, ${n.target}` : ''}: ${n.why}`
})
const kept = ref(false)
/** Put what the readings come to into the history of the water fished. */
async function keep() {
  if (!read.value) return
  const { visibilityM, tints } = read.value.answer
  const { waterId, temperatureC } = store.reading
  await records.put('reading', {
    waterId,
    at: new Date().toISOString(),
    readings: plain.value,
    visibilityM,
    tint: tints[0]!.tint,
    temperatureC,
    note: '',
  })
  kept.value = true
}
watch(plain, () => (kept.value = false))
function use() {
  if (!read.value) return
  store.set({ visibilityM: read.value.answer.visibilityM.best, tint: read.value.answer.tints[0]!.tint })
  emit('close')
}
</script>

<template>
  <div class="grid gap-5 lg:grid-cols-2">
    <section aria-label="Readings taken">
      <p class="mb-2 text-ink2">
        Put in what you have, in any mixture: Piscator weighs each by how well such readings are usually taken.
      </p>
      <ol class="border-t border-ink">
        <ReadingRow
          v-for="(r, i) in desk.readings"
          :key="i"
          :reading="r"
          :place="i"
          :chosen-id="pick"
          :clash="clashing.has(`readings.${i}`)"
          @change="to => desk.change(i, to)"
          @remove="desk.remove(i)"
        />
      </ol>
      <div
        v-if="desk.readings.length < MOST_READINGS"
        class="mt-3 flex flex-wrap gap-2"
        role="group"
        aria-label="Add a reading"
      >
        <button v-for="k in READING_KINDS" :key="k" type="button" class="quiet" @click="desk.add(k)">
          + {{ READING_NAMES[k] }}
        </button>
      </div>
      <TakenReadings />
    </section>
    <section aria-label="Which water it is" aria-live="polite">
      <p v-if="failed" role="status">The waters could not be worked out just now. Change a reading to try again.</p>
      <p v-else-if="!desk.readings.length">
        Nothing read yet. A white disc let down on the shaded side is the usual start; a black lure beside it tells tea
        from silt.
      </p>
      <p v-else-if="!read || !best" aria-busy="true">Trying some thousands of waters …</p>
      <template v-else>
        <p class="figure text-figure font-bold">
          {{ JAR_WORDS[read.answer.tints[0]!.tint] }}, disc to {{ lengthText(best.best) }}
        </p>
        <p>{{ lengthText(best.low) }} to {{ lengthText(best.high) }}, nine times in ten.</p>
        <ul class="my-2">
          <li v-for="t in tints" :key="t.tint" class="flex items-center gap-2">
            <span class="w-30">{{ TINTS[t.tint].name }}</span>
            <span class="h-2 bg-ink" :style="{ width: `${t.odds * 140}px` }" aria-hidden="true" />
            <span class="figure font-semibold">{{ Math.round(t.odds * 100) }} %</span>
          </li>
        </ul>
        <DepthBands :bands="read.bands" :names="desk.readings.map(r => READING_NAMES[r.kind])" :answer="read.answer" />
        <p
          v-for="c in read.answer.conflicts"
          :key="c.paths.join()"
          class="my-1 border-l-2 border-ink pl-2"
          role="status"
        >
          <b>Reading {{ c.paths.map(p => Number(p.split('.')[1]) + 1).join(' and ') }}.</b>
          {{ c.text }}
        </p>
        <p v-for="t in read.answer.thinned ?? []" :key="t.path" class="my-1 text-note text-ink2">
          Reading {{ Number(t.path.split('.')[1]) + 1 }}: {{ t.text }}
        </p>
        <h3 class="figure mt-2 text-value font-bold">Read next</h3>
        <p>{{ next }}</p>
        <h3 class="figure mt-3 text-value font-bold">Does the pick hang on it?</h3>
        <template v-if="sureness && pick">
          <p>
            <b>{{ nameOf(pick) }}</b>
            comes first, or shares the place, in
            <b class="figure">{{ sureness.of100 }} of 100</b>
            of the waters these readings allow.
          </p>
          <p v-for="o in sureness.others.slice(0, 3)" :key="o.finishId">
            {{ nameOf(o.finishId) }} in {{ o.of100 }} of 100, most of them {{ TINTS[o.tint].name }}.
          </p>
        </template>
        <progress v-if="busy" class="h-2 w-full accent-ink" :value="progress" aria-label="Ranking the waters" />
        <p class="mt-3 flex flex-wrap items-center gap-2">
          <button type="button" class="action" @click="use">Use this water</button>
          <button type="button" class="quiet" :disabled="kept" @click="keep">
            {{ kept ? 'Kept' : 'Keep it' }}{{ waters.current ? ` with ${waters.current.name}` : '' }}
          </button>
        </p>
      </template>
    </section>
  </div>
</template>
