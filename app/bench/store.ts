import { defineStore } from 'pinia'
import type { LureId, Side } from '#core/lure/types'
import { MOST_HUNG } from '#core/bench/order'
import type { LineId } from '#core/sight/line'
import type { TintId } from '#core/water/tints'
import type { BenchWatcher } from './work'
import { useDeviceStorage } from '~/settings/deviceStorage'

/** Drops of tint the jars take: after them the clearest is as dark as the middle one was. */
export const MOST_DROPS = 8

/** Skies the jars can stand under. */
export const JAR_SKIES = {
  today: { words: 'today, as set in Water' },
  high: { words: 'high sun', sky: 'clear', sunElevationDeg: 60 },
  low: { words: 'low sun', sky: 'partly', sunElevationDeg: 12 },
  dull: { words: 'overcast', sky: 'overcast', sunElevationDeg: 40 },
} as const
export type JarSky = keyof typeof JAR_SKIES

interface BenchSet {
  /** What hangs, by lure type; the bench chooses nine where nothing is. */
  hung: Partial<Record<LureId, string[]>>
  side: Side
  watcher: BenchWatcher
  jarTint: TintId
  jarSky: JarSky
  jarLures: string[]
  jarLines: LineId[]
  drops: number
}
const FIRST: BenchSet = {
  hung: {},
  side: 'level',
  watcher: 'fish',
  jarTint: 'tea',
  jarSky: 'today',
  jarLures: [],
  jarLines: ['green-braid', 'leader'],
  drops: 0,
}

/** What hangs on the bench, kept on the device. */
export const useBenchStore = defineStore('bench', () => {
  const set = useDeviceStorage<BenchSet>('piscator.bench', structuredClone(FIRST), { mergeDefaults: true })
  const change = (patch: Partial<BenchSet>) => {
    set.value = { ...set.value, ...patch }
  }
  const hang = (lure: LureId, ids: string[]) => change({ hung: { ...set.value.hung, [lure]: ids.slice(0, MOST_HUNG) } })
  return { set, change, hang }
})
