import { defineStore } from 'pinia'
import type { Reading } from '#core/request/readings'
import type { ReadingKind } from '#core/water/readingKinds'
import { useDeviceStorage } from '~/settings/deviceStorage'

/** Most readings weighed at once, as the contract has it. */
export const MOST_READINGS = 12

/** What a reading starts as when it is added. */
const FIRST: { [K in ReadingKind]: Extract<Reading, { kind: K }> } = {
  'disc': { kind: 'disc', depthM: 1 },
  'target': { kind: 'target', target: 'black', depthM: 0.5 },
  'seen-to': { kind: 'seen-to', what: 'motor', depthM: 0.6 },
  'turbidity': { kind: 'turbidity', fnu: 10 },
  'light': {
    kind: 'light',
    samples: [
      { depthM: 0.2, lux: 20000 },
      { depthM: 1, lux: 6000 },
    ],
  },
  'jar': { kind: 'jar', water: '#c9b26a', paper: '#f1efe8', pathM: 0.08 },
  'look': { kind: 'look', tint: 'green' },
}

/** The reading desk: readings taken, kept on the device until they are cleared. */
export const useDeskStore = defineStore('desk', () => {
  const readings = useDeviceStorage<Reading[]>('piscator.desk', [])
  function add(kind: ReadingKind, reading: Reading = structuredClone(FIRST[kind])): void {
    if (readings.value.length < MOST_READINGS) readings.value = [...readings.value, reading]
  }
  function change(i: number, to: Reading): void {
    readings.value = readings.value.with(i, to)
  }
  function remove(i: number): void {
    readings.value = readings.value.toSpliced(i, 1)
  }
  return { readings, add, change, remove }
})
