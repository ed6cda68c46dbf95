<script setup lang="ts">
import { computed } from 'vue'
import { rounded } from '#core/numeric/rounded'
import { windWord } from '#core/sky/weather'
import { QUANTITIES, type Quantity } from '#shared/instruments'
import { type Followed, useInstrumentsStore } from './store'
import { usePlace } from '~/reading/usePlace'
import { useReadingStore } from '~/reading/store'
import { useUnits } from '~/settings/useUnits'
import { WIND_OPTIONS } from '~/words/options'
import ConditionGroup from '~/common/rows/ConditionGroup.vue'

/** What the boat's instruments and the gauge tell: to take, to follow, or to leave. */
const instruments = useInstrumentsStore()
const reading = useReadingStore()
const { moveTo } = usePlace()
const { lengthText, temperatureText } = useUnits()
instruments.look()

const windWords = (mps: number) => WIND_OPTIONS.find(o => o.value === windWord(mps))!.words
const told = (q: Quantity) => instruments.board?.told[q]?.value
const ago = (q: Quantity) => {
  const s = Math.round(instruments.ageS(q))
  return s < 90 ? `${s} s ago` : `${Math.round(s / 60)} min ago`
}
/** Where a figure comes from and how old it is, or why it is not to be taken. */
function standingWords(q: Quantity): string {
  const from = `the ${QUANTITIES[q].from}`
  const standing = instruments.lost ? 'stale' : instruments.standing(q)
  if (standing === 'fresh') return `from ${from}, ${ago(q)}`
  if (standing === 'stale') return `from ${from}, but ${ago(q)}: not taken until it speaks again`
  return `${from} says so, which cannot be: not taken`
}
interface Row {
  q: Quantity
  label: string
  value: string
  fresh: boolean
  follow?: Followed
  take?: () => void
}
const row = (q: Quantity, label: string, words: (v: number) => string, rest: Partial<Row> = {}): Row[] => {
  const value = told(q)
  if (value === undefined) return []
  return [{ q, label, value: words(value), fresh: !instruments.lost && instruments.standing(q) === 'fresh', ...rest }]
}
const rows = computed<Row[]>(() => [
  ...row('temperatureC', 'Water', temperatureText, { follow: 'temperatureC' }),
  ...row('depthM', 'Depth', lengthText, { follow: 'depthM' }),
  ...row('windMps', 'Wind', windWords, { take: () => reading.set({ wind: windWord(told('windMps')!) }) }),
  ...row('latitude', 'Place', v => `${v.toFixed(3)}°, ${told('longitude')?.toFixed(3)}°`, {
    take: () => void moveTo(told('latitude')!, told('longitude')!),
  }),
  ...row('gaugeTemperatureC', 'Gauge, water', temperatureText, {
    take: () => reading.set({ temperatureC: rounded(told('gaugeTemperatureC')!, 1) }),
  }),
  ...row('gaugeLevelM', 'Gauge, level', lengthText),
])
const state = computed(() => {
  const b = instruments.board
  if (instruments.lost) return 'The signal is lost. What you set stays; it heals by itself.'
  if (!b) return 'Listening …'
  if (b.line === 'none' && b.gauge === 'none') return 'No instruments are set up.'
  const away = [b.line === 'away' ? 'the boat' : '', b.gauge === 'away' ? 'the gauge' : '']
    .filter(Boolean)
    .join(' and ')
  return away ? `Nothing is heard from ${away} just now. What you set stays; it heals by itself.` : ''
})
</script>

<template>
  <ConditionGroup :name="instruments.board?.simulated ? 'Instruments, simulated' : 'Instruments'">
    <p v-if="state" class="py-2" role="status">{{ state }}</p>
    <ul>
      <li v-for="r in rows" :key="r.q" class="border-b border-hair py-1 last:border-0">
        <div class="flex min-h-11 flex-wrap items-center gap-x-3">
          <span class="w-24 font-semibold">{{ r.label }}</span>
          <span class="figure flex-1 font-bold whitespace-nowrap">{{ r.value }}</span>
          <template v-if="r.follow">
            <button
              type="button"
              class="quiet disabled:opacity-60"
              :disabled="!r.fresh"
              :aria-label="`Take ${r.label.toLowerCase()}: ${r.value}`"
              @click="instruments.take(r.follow)"
            >
              Take
            </button>
            <button
              type="button"
              class="quiet"
              :aria-pressed="!!instruments.follows[r.follow]"
              :class="instruments.follows[r.follow] ? 'bg-ink text-page' : ''"
              :aria-label="`Follow ${r.label.toLowerCase()}`"
              @click="instruments.follow(r.follow, !instruments.follows[r.follow])"
            >
              {{ instruments.follows[r.follow] ? 'Hold' : 'Follow' }}
            </button>
          </template>
          <button
            v-else-if="r.take"
            type="button"
            class="quiet disabled:opacity-60"
            :disabled="!r.fresh"
            :aria-label="`Take ${r.label.toLowerCase()}: ${r.value}`"
            @click="r.take()"
          >
            Take
          </button>
        </div>
        <p class="pb-1 text-note leading-tight text-ink2">{{ standingWords(r.q) }}</p>
      </li>
    </ul>
    <p v-if="Object.values(instruments.follows).some(Boolean)" class="py-1 text-note">
      What is followed keeps itself up to date; type over it and it stays as you typed.
    </p>
  </ConditionGroup>
</template>
