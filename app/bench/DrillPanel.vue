<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { DRILL_TOPICS, type DrillTopic, LESSONS } from '#core/words/drills'
import { finishById } from '#core/lure/finish'
import { hex } from '#core/spectrum/colour'
import { nextTopic, topicsOf, worstFirst } from './learner'
import { useQuestionWords } from './useQuestionWords'
import type { BenchApi } from './useBench'
import type { DrillShown } from './work'
import HandFigure from '~/figures/HandFigure.vue'
import LureFigure from '~/figures/LureFigure.vue'
import { vThroughWater } from '~/figures/throughWater'
import { NIGHT_WATER, redTone } from '~/figures/tone'
import { useRecordsStore } from '~/records/store'
import { useSettingsStore } from '~/settings/store'

/** One question at a time, answered by the same optics; what is got wrong comes again sooner. */
const props = defineProps<{ api: BenchApi }>()
const records = useRecordsStore()
const settings = useSettingsStore()
const { questionOf, factsWords, optionWords, LETTERS } = useQuestionWords()
const red = computed(() => settings.theme === 'night')
/** Questions of colour wait for daylight: in red light none can be answered. */
const BY_COLOUR: readonly DrillTopic[] = ['same.near', 'same.far', 'water.jar']
const topics = computed(() => topicsOf(records.list('answer').map(a => a.body)))
const asked = ref<{ shown: DrillShown; level: number } | null>(null)
const chosen = ref<number | null>(null)
const failed = ref(false)
const right = computed(() => chosen.value !== null && chosen.value === asked.value?.shown.drill.right)

async function ask(): Promise<void> {
  const open = topics.value.filter(t => !red.value || !BY_COLOUR.includes(t.topic))
  const { topic, level } = nextTopic(open, new Date(), asked.value?.shown.drill.topic ?? null)
  chosen.value = null
  failed.value = false
  try {
    const seed = Date.now() % 2 ** 31
    const shown = await props.api.drill({ topic, seed, level, units: settings.units })
    asked.value = { shown, level }
  } catch {
    failed.value = true
  }
}
async function answer(i: number): Promise<void> {
  if (chosen.value !== null || !asked.value) return
  chosen.value = i
  const { shown, level } = asked.value
  const { topic, seed } = shown.drill
  await records.put('answer', { topic, seed, level, at: new Date().toISOString(), right: right.value })
}
watch(
  () => records.state,
  state => state === 'here' && !asked.value && void ask(),
  { immediate: true },
)
watch(red, on => on && asked.value && BY_COLOUR.includes(asked.value.shown.drill.topic) && void ask())

const question = computed(() => asked.value && questionOf(asked.value.shown.drill))
const scene = computed(() => asked.value && factsWords(asked.value.shown.drill.facts))
const verdict = computed(() => {
  const d = asked.value?.shown.drill
  if (!d) return ''
  return right.value ? 'Right.' : `No: ${optionWords(d.options[d.right]!, d.right)}.`
})
const finishes = computed(() => {
  const f = asked.value?.shown.drill.facts
  return f?.kind === 'scene' ? f.finishIds.map(id => finishById(id)!) : []
})
const jarColour = computed(() => {
  const f = asked.value?.shown.drill.facts
  return f?.kind === 'jar' ? hex(f.colour) : null
})
const record = computed(() => worstFirst(topics.value))
const waterOf = (colour: string) => (red.value ? redTone(colour, NIGHT_WATER) : colour)
</script>

<template>
  <section class="border-t-2 border-ink p-3" aria-label="Drills">
    <h2 class="figure text-lead font-bold">{{ asked && !failed ? question : 'Drills' }}</h2>
    <p v-if="failed" role="alert">
      No question could be made just now.
      <button type="button" class="min-h-11 underline" @click="ask">Try again</button>
    </p>
    <p v-else-if="!asked" aria-busy="true">Making a question …</p>
    <template v-else>
      <p class="leading-snug">{{ scene }}</p>
      <ul v-if="finishes.length" class="mt-2 grid grid-cols-3 gap-2">
        <li v-for="(f, i) in finishes" :key="f.id">
          <span class="relative block h-14 bg-plate p-1">
            <b class="figure absolute top-0 left-0 bg-page px-1.5">{{ LETTERS[i] }}</b>
            <HandFigure :finish="f" :line="2" />
          </span>
          <span
            v-if="chosen !== null"
            v-through-water="{ seen: asked.shown.seen[i], red }"
            class="flex h-11 items-center justify-center p-0.5"
            :style="{ background: waterOf(asked.shown.seen[i]!.water) }"
          >
            <span class="h-full w-20"><LureFigure :lure="f.lure" through :red="red" /></span>
          </span>
          <span class="block text-note leading-tight">{{ f.name }}</span>
        </li>
      </ul>
      <svg v-if="jarColour" viewBox="0 0 60 60" class="mt-2 h-24" role="img" aria-label="A jar of the water">
        <rect width="60" height="60" fill="#f4f4f2" />
        <path d="M20 12V46C20 56 40 56 40 46V12Z" :fill="jarColour" />
        <path d="M17 6H43M20 6V46C20 56 40 56 40 46V6" fill="none" stroke="#111" stroke-width="1.6" />
      </svg>
      <div class="mt-2 flex flex-wrap gap-2" role="group" aria-label="Your answer">
        <button
          v-for="(o, i) in asked.shown.drill.options"
          :key="i"
          type="button"
          class="quiet"
          :class="chosen === i ? 'bg-ink text-page' : ''"
          :aria-pressed="chosen === i"
          :disabled="chosen !== null && chosen !== i"
          data-testid="option"
          @click="answer(i)"
        >
          {{ optionWords(o, i) }}
        </button>
      </div>
      <div v-if="chosen !== null" class="mt-2" role="status">
        <p>
          <b>{{ verdict }}</b>
          {{ asked.shown.because }}
        </p>
        <button type="button" class="action mt-2" @click="ask">Next question</button>
      </div>
    </template>
    <p v-if="red" class="mt-2 text-note">Questions of colour wait for daylight.</p>
    <h3 class="figure mt-4 border-t border-ink pt-2 text-value font-bold">What you tend to get wrong</h3>
    <p v-if="!record.length" class="text-ink2">Nothing asked yet.</p>
    <p v-if="record[0]?.answers.includes(false)" class="mb-1 leading-snug">
      <b>To remember:</b>
      {{ LESSONS[record[0].topic] }}
    </p>
    <ul>
      <li v-for="t in record" :key="t.topic" class="flex items-center gap-2 py-0.5 text-note">
        <span class="min-w-0 flex-1 truncate">{{ DRILL_TOPICS[t.topic] }}</span>
        <svg :width="t.answers.length * 15" height="14" aria-hidden="true">
          <circle
            v-for="(ok, i) in t.answers"
            :key="i"
            :cx="7 + i * 15"
            cy="7"
            r="5"
            :fill="ok ? 'currentColor' : 'none'"
            stroke="currentColor"
            stroke-width="1.5"
          />
        </svg>
        <b class="figure w-12 text-right">{{ t.answers.filter(Boolean).length }} of {{ t.answers.length }}</b>
      </li>
    </ul>
    <p v-if="records.words" class="mt-2 text-note">{{ records.words }}</p>
  </section>
</template>
