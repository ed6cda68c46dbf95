import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Lean } from '#core/ranking/judge'
import { ENGINE_VERSION } from '#core/ranking/version'
import { sureVerdictOf } from '#core/season-learning/effect'
import type { SeasonAnswer } from '#core/season-learning/season'
import { useRecordsStore } from './store'
import { useSettingsStore } from '~/settings/store'
import { useDeviceStorage } from '~/settings/deviceStorage'

/** What the log says of a finish beside the rods in hand with it. */
export interface TaughtFinish {
  times: number
  low: number
  high: number
  hours: number
  /** Better or worse than its fellows nine times in ten. */
  sure: boolean
}
/** What the log taught when it was read last, kept on the device for the other places. */
interface Taught {
  engine: string
  /** How far the log is let in, 0-1, and what it shifts. */
  leaned: number
  shifts: Lean
  finishes: Record<string, TaughtFinish>
}
const NOTHING: Taught = { engine: '', leaned: 0, shifts: {}, finishes: {} }
/** A finish in hand for less than this is not marked, hours. */
const LEAST_HOURS = 1

/** What the log has taught, and whether rankings lean on it. */
export const useTaughtStore = defineStore('taught', () => {
  const settings = useSettingsStore()
  const records = useRecordsStore()
  const stored = useDeviceStorage<Taught>('piscator.taught', NOTHING)
  /** What a made-up log teaches is shown while that is looked through, and never leaned on. */
  const ofMadeUp = shallowRef(NOTHING)
  /** What another engine was taught says nothing of this one's schools. */
  const taught = computed(() => {
    if (records.isMadeUp) return ofMadeUp.value
    return stored.value.engine === ENGINE_VERSION ? stored.value : NOTHING
  })

  function keep({ weights, effects }: SeasonAnswer): void {
    const finishes: Taught['finishes'] = {}
    for (const e of effects)
      if (e.level === 'finish' && e.hours >= LEAST_HOURS && e.says)
        finishes[e.id] = {
          times: e.times,
          low: e.low,
          high: e.high,
          hours: e.hours,
          sure: sureVerdictOf(e) !== null,
        }
    const shifts = Object.fromEntries(weights.schools.flatMap(s => (s.shift === 0 ? [] : [[s.id, s.shift]])))
    const told = { engine: ENGINE_VERSION, leaned: weights.leaned, shifts, finishes }
    if (records.isMadeUp) ofMadeUp.value = told
    else stored.value = told
  }
  const mayLean = computed(() => taught.value.leaned > 0 && Object.keys(taught.value.shifts).length > 0)
  /** What rankings lean by: nothing unless the angler turned it on. */
  const lean = computed<Lean>(() =>
    settings.leanOnLog && mayLean.value && !records.isMadeUp ? taught.value.shifts : {},
  )
  const leans = computed(() => Object.keys(lean.value).length > 0)
  /** How far what is shown leans on the log, 0-1. */
  const leaned = computed(() => (leans.value ? taught.value.leaned : 0))
  const leanedWords = computed(() => `With your log, let in ${Math.round(100 * taught.value.leaned)} % of the way.`)
  const saidOf = (finishId: string): TaughtFinish | null => taught.value.finishes[finishId] ?? null
  return { keep, mayLean, lean, leans, leaned, shifts: computed(() => taught.value.shifts), leanedWords, saidOf }
})
