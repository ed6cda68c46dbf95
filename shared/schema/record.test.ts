import { describe, expect, it } from 'vitest'
import { upToDate, versionOf } from '#shared/recordVersion'
import { RECORD_KINDS, RECORDS } from '#shared/schema/record'
import type { SyncEvent } from '#shared/schema/sync'
import { check } from '#shared/faults'
import samples from './samples.json' with { type: 'json' }

const event = (e: object) => ({ id: 'a', recordId: 'b', at: '', ...e }) as SyncEvent

describe('a body of any version of its kind', () => {
  it.each(RECORD_KINDS.flatMap(kind => samples[kind].map((body, i) => ({ kind, version: i + 1, body }))))(
    'is brought up to what it is now: $kind, version $version',
    ({ kind, version, body }) => {
      const now = upToDate(event({ kind, version, body }))
      expect(check<object>(RECORDS[kind], now.body)).toMatchObject({ ok: true })
      expect(now.version ?? 1).toBe(versionOf(kind))
      expect(now.body).toMatchObject(body)
    },
  )
  it.each(RECORD_KINDS)('has a sample: %s', kind => expect(samples[kind]).toHaveLength(versionOf(kind)))
  it('is left as it is where a newer Piscator wrote it, where nothing is left of it, and where it is none', () => {
    for (const e of [
      event({ kind: 'plan', version: 9, body: { name: 'x' } }),
      event({ kind: 'plan', body: null }),
      event({ kind: 'plan', body: 'x' }),
      event({ kind: 'plan', version: -1, body: {} }),
      event({ kind: 'plan', version: 'x', body: {} }),
      event({ kind: 'constructor', body: {} }),
      event({ kind: 7, body: {} }),
    ])
      expect(upToDate(e)).toBe(e)
  })
})
