import Ajv from 'ajv/dist/2019.js'
import addFormats from 'ajv-formats'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readWater } from '#core/evidence/readWater'
import { recommend } from '#core/ranking/recommend'
import { check } from '#shared/faults'
import { openApi } from '#shared/openapi'
import { answerSchema, readingsAnswerSchema } from '#shared/schema/answer'
import { callSchema, idSchema } from '#shared/schema/call'
import { requestByReadingsSchema, requestSchema, tellsByReadings } from '#shared/schema/request'
import { GOLDEN } from '../tests/golden/requests'

const GOOD = { lure: 'jerkbait', water: { visibilityM: 2, tint: 'tea' }, light: { sky: 'clear', sunElevationDeg: 40 } }
const faults = (input: unknown) => {
  const r = check(requestSchema, input)
  return r.ok ? [] : r.faults
}

describe('what may be asked', () => {
  it('takes the least request and gives it back unchanged', () => {
    const r = check(requestSchema, GOOD)
    expect(r.ok && r.value).toEqual(GOOD)
  })
  it('gives one entry per fault, with the path and words for an angler, and nothing of what was sent', () => {
    const list = faults({
      lure: 'sekret-lure',
      water: { visibilityM: 99, tint: 'tea', temperatureC: '12' },
      light: { sky: 'clear' },
      depthM: Number.NaN,
      sekret: 1,
    })
    expect(list.map(f => f.path).sort()).toEqual([
      '',
      'depthM',
      'light',
      'lure',
      'water.temperatureC',
      'water.visibilityM',
    ])
    for (const f of list) expect(f.message).toMatch(/^[A-Z].*\.$/)
    expect(JSON.stringify(list)).not.toMatch(/sekret|99|"12"/)
  })
  it('needs the sun or a time and place', () => {
    expect(faults({ ...GOOD, light: { sky: 'clear' } })[0]!.message).toContain('time and place')
    expect(
      faults({ ...GOOD, light: { sky: 'clear', at: { time: '2026-04-12T10:40:00Z', latitude: 34, longitude: -88 } } }),
    ).toEqual([])
    expect(
      faults({ ...GOOD, light: { sky: 'clear', at: { time: 'noonish', latitude: 34, longitude: -88 } } })[0]!.path,
    ).toBe('light.at.time')
  })
  it.each([[null], [undefined], ['x'], [7], [[]]])('refuses %j', input =>
    expect(check(requestSchema, input).ok).toBe(false),
  )
  it('refuses numbers written as text and things named twice', () => {
    expect(faults({ ...GOOD, limit: '5' })[0]!.path).toBe('limit')
    expect(faults({ ...GOOD, clues: ['birds', 'birds'] })).toHaveLength(1)
    expect(faults({ ...GOOD, limit: 2.5 })).toHaveLength(1)
  })
  it('names fields of a kept call as in the request', () => {
    const r = check(callSchema, {
      asked: { ...GOOD, depthM: -1 },
      tiedOn: 'jerkbait.bone',
      keptAt: '2026-04-12T10:40:00Z',
    })
    expect(!r.ok && r.faults).toEqual([
      { path: 'asked.depthM', code: 'number.min', message: 'Running depth cannot be less than 0 m.' },
    ])
  })
})

const ajv = new Ajv({ strict: false, allErrors: true })
addFormats(ajv)

describe('a request by readings', () => {
  const light = { sky: 'clear', sunElevationDeg: 40 }
  const by = (water: object) => check(requestByReadingsSchema, { lure: 'popper', water, light })
  it('takes readings in the place of visibility and tint, not beside them', () => {
    const readings = [{ kind: 'disc', depthM: 1 }]
    expect(by({ readings, temperatureC: 15 }).ok).toBe(true)
    const both = by({ readings, visibilityM: 1 })
    expect(both.ok ? [] : both.faults.map(f => [f.path, f.message.includes('told by readings')])).toEqual([
      ['water', true],
    ])
  })
  it.each([
    ['samples of light', 40, 2],
    ['readings', 12, 1],
  ])('takes as many %s as %i, not one more, and not fewer than %i', (what, most, least) => {
    const told = (n: number) => {
      const of = <T>(one: (i: number) => T) => Array.from({ length: n }, (_, i) => one(i))
      const samples = of(i => ({ depthM: 0.1 + i / 10, lux: 900 - i }))
      const readings = of(i => ({ kind: 'disc', depthM: 1 + i / 100 }))
      const got = by({ readings: what === 'readings' ? readings : [{ kind: 'light', samples }] })
      return got.ok ? [] : got.faults.map(f => f.path)
    }
    const path = what === 'readings' ? 'water.readings' : 'water.readings.0.samples'
    expect([told(least - 1), told(least), told(most), told(most + 1)]).toEqual([[path], [], [], [path]])
  })
  it('is known by its readings, whatever else was sent', () => {
    expect(
      [{ water: { readings: 1 } }, { water: { tint: 'tea' } }, { water: null }, null, 'x'].map(tellsByReadings),
    ).toEqual([true, false, false, false, false])
  })
})

describe('the OpenAPI description', () => {
  const doc = openApi('9.9.9')
  ajv.addSchema(doc as object, 'doc')
  const described = (name: string) => ajv.compile({ $ref: `doc#/components/schemas/${name}` })
  const request = described('Request')

  it('says of a request what the server checks: each takes what the other takes', () => {
    const junk = fc.oneof(
      fc.constantFrom(null, true, 'tea', '', 0, -1, 1e9, 0.5, [], {}, ['birds', 'birds'], 'clear', '2026-05-10'),
      fc.constantFrom('2026-05-10T10:00:00Z', '2026-05-10T10:00:00', '0000-01-01T00:00:00Z', '2026-05-10T10:00-04:00'),
    )
    const paths = [
      'lure species school season clues depthM background fishM fishedThrough bitesRefused limit units' +
        ' forage water light x',
      'water.visibilityM water.tint water.temperatureC water.trend water.salinity water.pressure water.prey water.x',
      'light.sky light.cloud light.sunElevationDeg light.wind light.canopy light.moon light.lamps light.at light.x',
      'light.at.time light.at.latitude light.at.longitude light.at.x',
    ].flatMap(line => line.split(' '))
    const withAt = {
      ...GOOD,
      light: { ...GOOD.light, at: { time: '2026-04-12T10:40:00Z', latitude: 34, longitude: -88 } },
    }
    const put = (path: string, value: unknown): unknown => {
      const copy = structuredClone(withAt) as Record<string, unknown>
      const keys = path.split('.')
      const last = keys.pop()!
      const at = keys.reduce((o, k) => o[k] as Record<string, unknown>, copy)
      at[last] = value
      // As JSON carries it: what is undefined is not there.
      return JSON.parse(JSON.stringify(copy)) as unknown
    }
    let refused = 0
    fc.assert(
      fc.property(fc.constantFrom(...paths), fc.option(junk, { nil: undefined }), (path, value) => {
        const input = put(path, value)
        const taken = check(requestSchema, input).ok
        if (!taken) refused++
        expect(request(input), `${path} = ${JSON.stringify(value)}`).toBe(taken)
      }),
      { numRuns: 600, seed: 5 },
    )
    expect(refused).toBeGreaterThan(300)
  })
  it('names units and defaults', () => {
    const { properties } = doc.components.schemas.Request as { properties: Record<string, { description?: string }> }
    expect(properties.species!.description).toBe('largemouth-bass when absent')
    expect(properties.depthM!.description).toMatch(/metres/)
  })
  it.each(Object.entries(GOLDEN))('describes the whole answer to %s', (_, asked) => {
    const answer: unknown = JSON.parse(JSON.stringify(recommend(asked)))
    const valid = described('Answer')
    valid(answer)
    expect(valid.errors ?? []).toEqual([])
    expect(check(answerSchema, answer)).toMatchObject({ ok: true })
  })
  it('would notice an answer that is not as described', () => {
    const answer = JSON.parse(JSON.stringify(recommend(GOOD as never))) as { ranked: { score: unknown }[] }
    answer.ranked[0]!.score = 'high'
    expect(described('Answer')(answer)).toBe(false)
  })
  it.each([
    [[{ kind: 'disc', depthM: 1 }]],
    [
      [
        { kind: 'jar', water: '#a06a20', paper: '#f1efe8', pathM: 0.08 },
        { kind: 'look', tint: 'tea' },
      ],
    ],
    [
      [
        { kind: 'disc', depthM: 4 },
        { kind: 'turbidity', fnu: 60 },
      ],
    ],
  ] as const)('describes the answer to readings %j', readings => {
    const answer: unknown = JSON.parse(JSON.stringify(readWater(readings, 'fresh', 'us')))
    const valid = described('ReadingsAnswer')
    valid(answer)
    expect(valid.errors ?? []).toEqual([])
    expect(check(readingsAnswerSchema, answer)).toMatchObject({ ok: true })
    expect(check(readingsAnswerSchema, { ...(answer as object), tints: [{ tint: 'tea', odds: 1.2 }] }).ok).toBe(false)
  })
  it('says how each call may be refused', () => {
    const codes = Object.fromEntries(
      Object.entries(doc.paths as Record<string, Record<string, { responses?: object }>>).flatMap(([path, methods]) =>
        Object.entries(methods).map(([m, { responses }]) => [`${m} ${path}`, Object.keys(responses ?? {}).sort()]),
      ),
    )
    const withBody = ['400', '403', '413', '415', '417', '422', '429', '503']
    for (const path of ['recommendations', 'readings', 'trials/order', 'trials/verdict'])
      expect(codes[`post /${path}`], path).toEqual(['200', ...withBody])
    for (const path of ['day-plans', 'kits', 'season'])
      expect(codes[`post /${path}`], path).toEqual(['200', '202', ...withBody])
    const kept = ['200', '400', '401', '403', '409', ...withBody.slice(2)]
    for (const keeping of ['put /calls/{id}', 'post /sync']) expect(codes[keeping]).toEqual(kept)
    expect(codes['delete /calls/{id}']).toEqual(['204', '403', '422', '429', '503'])
    expect(codes['get /waters']).toEqual(['200', '429', '503'])
    for (const of of Object.values(codes)) for (const code of of) expect(code).toMatch(/^[1-5]\d\d$/)
  })
  it('names every operation once, says what it belongs to, and of what each list is', () => {
    const operations = Object.values(doc.paths as Record<string, Record<string, unknown>>).flatMap(methods =>
      Object.entries(methods).flatMap(([m, o]) =>
        m === 'parameters' ? [] : [o as { operationId: string; tags: string[]; description: string }],
      ),
    )
    const ids = operations.map(o => o.operationId)
    expect([new Set(ids).size, ids.includes('postDayPlans'), ids.includes('putCallsId')]).toEqual([
      ids.length,
      true,
      true,
    ])
    const tags = (doc.tags as { name: string }[]).map(t => t.name)
    for (const { tags: of, description } of operations)
      expect([tags.includes(of[0]!), !!description]).toEqual([true, true])
    const bare: string[] = []
    const walk = (v: unknown, at: string) => {
      if (typeof v !== 'object' || v === null) return
      const { type, items, prefixItems } = v as Record<string, unknown>
      if (type === 'array' && !items && !prefixItems) bare.push(at)
      for (const [k, inner] of Object.entries(v)) walk(inner, `${at}.${k}`)
    }
    walk(doc.components, '')
    expect(bare).toEqual([])
  })
  it('describes a kept call and its id', () => {
    const call = { asked: GOOD, tiedOn: 'jerkbait.bone', keptAt: '2026-04-12T10:40:00Z', waterId: null }
    const valid = described('Call')
    for (const [change, ok] of [
      [{}, true],
      [{ waterId: '018f0000-0000-4000-8000-000000000002' }, true],
      [{ waterId: '{018f0000-0000-4000-8000-000000000002}' }, false],
      [{ tiedOn: 'jerkbait' }, false],
      [{ tiedOn: `jerkbait.${'x'.repeat(80)}` }, false],
      [{ keptAt: '2026-04-12' }, false],
      [{ asked: undefined }, false],
    ] as const) {
      const input = JSON.parse(JSON.stringify({ ...call, ...change })) as unknown
      expect([valid(input), check(callSchema, input).ok], JSON.stringify(change)).toEqual([ok, ok])
    }
  })
  it.each([
    ['018f0000-0000-7000-8000-000000000002', true],
    ['018F0000-0000-4000-8000-00000000000A', true],
    ['018f0000-0000-1000-8000-000000000002', false],
    ['018f0000000040008000000000000002', false],
    ['urn:uuid:018f0000-0000-4000-8000-000000000002', false],
    ['(018f0000-0000-4000-8000-000000000002)', false],
    ['', false],
  ])('takes %s for an id: %s', (id, ok) => expect(check(idSchema, id).ok).toBe(ok))
  it('describes every address', () => {
    expect(Object.keys(doc.paths).sort()).toEqual([
      '/account',
      '/account/devices/{id}',
      '/account/name',
      '/account/passkeys',
      '/account/passkeys/options',
      '/account/passkeys/{id}',
      '/account/password',
      '/account/restore',
      '/account/sign-in/options',
      '/account/sign-in/passkey',
      '/account/sign-in/password',
      '/calls',
      '/calls/{id}',
      '/crew',
      '/crew/invited',
      '/crew/invites',
      '/crew/invites/{id}',
      '/crew/join',
      '/crew/{id}',
      '/crew/{id}/aboard/{trip}',
      '/crew/{id}/days',
      '/day-plans',
      '/device',
      '/forecast',
      '/health',
      '/health/ready',
      '/imports',
      '/instruments',
      '/jobs',
      '/jobs/{id}',
      '/jobs/{id}/answer',
      '/jobs/{id}/progress',
      '/kits',
      '/lures',
      '/news',
      '/openapi.json',
      '/pools',
      '/readings',
      '/recommendations',
      '/recover',
      '/recovery-code',
      '/season',
      '/shares',
      '/shares/{id}',
      '/sign-out',
      '/sync',
      '/trials/order',
      '/trials/verdict',
      '/waters',
    ])
    expect(doc.openapi).toMatch(/^3\.1/)
  })
})

describe('the depth of the water', () => {
  it('bounds the running depth in words that help, and only where it is given', () => {
    const at = (depthM: number, waterM?: number) =>
      check(requestSchema, { ...SHALLOW, depthM, water: { ...SHALLOW.water, ...(waterM ? { depthM: waterM } : {}) } })
    expect(at(3, 3).ok).toBe(true)
    expect(at(30).ok).toBe(true)
    const refused = at(3.1, 3)
    expect(refused.ok).toBe(false)
    expect(refused.ok ? [] : refused.faults.map(f => f.path)).toEqual(['depthM'])
    expect(refused.ok ? '' : refused.faults[0]!.message).toMatch(/cannot run deeper than the water/)
  })
})
const SHALLOW = {
  lure: 'jerkbait',
  water: { visibilityM: 2, tint: 'green' },
  light: { sky: 'clear', sunElevationDeg: 40 },
}
