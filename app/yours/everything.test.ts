import fc from 'fast-check'
import { IDBFactory } from 'fake-indexeddb'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { SyncEvent } from '#shared/schema/sync'
import { useRecordsStore } from '~/records/store'
import samples from '../../shared/schema/samples.json' with { type: 'json' }
import { everythingFile, readEverything } from './everything'

const NOW = Date.parse('2026-05-10T12:00:00.000Z')
/** A device of its own, without a server. */
function device() {
  globalThis.indexedDB = new IDBFactory()
  setActivePinia(createPinia())
  return useRecordsStore()
}
beforeEach(() => vi.stubGlobal('fetch', () => Promise.reject(new TypeError('away'))))
afterEach(() => vi.unstubAllGlobals())

type Kind = keyof typeof samples
/** Any of the kept samples, of any version, as changes of a few records. */
const someEvents = fc.array(
  fc
    .record({
      kind: fc.constantFrom(...(Object.keys(samples) as Kind[])),
      record: fc.uuid({ version: 7 }),
      id: fc.uuid({ version: 7 }),
      at: fc.date({ min: new Date('2020-01-01'), max: new Date('2026-01-01'), noInvalidDate: true }),
    })
    .map(({ kind, record, id, at }) => {
      const versions = samples[kind] as object[]
      const [version, body] = [versions.length, versions.at(-1)!]
      return { id, kind, recordId: record, at: at.toISOString(), version, body } as SyncEvent
    }),
  { maxLength: 12 },
)
const plain = (events: readonly SyncEvent[]) => [...events].sort((a, b) => a.id.localeCompare(b.id))

describe('everything in one file', () => {
  it('comes in as it went out, on a device that has nothing; twice it adds nothing', async () => {
    await fc.assert(
      fc.asyncProperty(someEvents, async events => {
        const here = device()
        await here.bringIn(events)
        const file = everythingFile(here.everything(), NOW)
        const there = device()
        const read = (await readEverything(file))!
        expect(read.faults).toEqual([])
        await there.bringIn(read.records)
        expect(plain(there.everything())).toEqual(plain(here.everything()))
        expect(everythingFile(there.everything(), NOW)).toBe(file)
        expect(await there.bringIn(read.records)).toBe(0)
        expect(everythingFile(there.everything(), NOW)).toBe(file)
      }),
      { numRuns: 25, seed: 40 },
    )
  })
  it('leaves out what is wrong with words, and is told from any other file', async () => {
    const [kind] = Object.keys(samples) as Kind[]
    const file = JSON.stringify({
      piscator: 'everything',
      version: 1,
      savedAt: '2026-05-10T12:00:00.000Z',
      records: [{ id: 'no', kind, recordId: 'no', at: 'yesterday', body: null }, null, 7],
    })
    const read = (await readEverything(file))!
    expect([read.records.length, read.faults.map(f => f.at)]).toEqual([0, [0, 1, 2]])
    expect(read.faults[0]!.words).toMatch(/UUID/)
    for (const other of ['{}', '[]', 'null', 'a,b\n1,2', '{"piscator":"box","records":[]}'])
      expect(await readEverything(other)).toBe(null)
  })
})
