import { describe, expect, it } from 'vitest'
import { check } from '#shared/faults'
import { openApi } from '#shared/openapi'
import { callSchema } from '#shared/schema/call'
import { requestSchema } from '#shared/schema/request'

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
    const list = faults({ lure: 'sekret-lure', water: { visibilityM: 99, tint: 'tea', temperatureC: '12' }, light: { sky: 'clear' }, depthM: Number.NaN, sekret: 1 })
    expect(list.map(f => f.path).sort()).toEqual(['', 'depthM', 'light', 'lure', 'water.temperatureC', 'water.visibilityM'])
    for (const f of list) expect(f.message).toMatch(/^[A-Z].*\.$/)
    expect(JSON.stringify(list)).not.toMatch(/sekret|99|"12"/)
  })
  it('needs the sun or a time and place', () => {
    expect(faults({ ...GOOD, light: { sky: 'clear' } })[0]!.message).toContain('time and place')
    expect(faults({ ...GOOD, light: { sky: 'clear', at: { time: '2026-04-12T10:40:00Z', latitude: 34, longitude: -88 } } })).toEqual([])
    expect(faults({ ...GOOD, light: { sky: 'clear', at: { time: 'noonish', latitude: 34, longitude: -88 } } })[0]!.path).toBe('light.at.time')
  })
  it.each([[null], [undefined], ['x'], [7], [[]]])('refuses %j', input => expect(check(requestSchema, input).ok).toBe(false))
  it('refuses numbers written as text and things named twice', () => {
    expect(faults({ ...GOOD, limit: '5' })[0]!.path).toBe('limit')
    expect(faults({ ...GOOD, clues: ['birds', 'birds'] })).toHaveLength(1)
    expect(faults({ ...GOOD, limit: 2.5 })).toHaveLength(1)
  })
  it('names fields of a kept call as in the request', () => {
    const r = check(callSchema, { asked: { ...GOOD, depthM: -1 }, tiedOn: 'jerkbait.bone', keptAt: '2026-04-12T10:40:00Z' })
    expect(!r.ok && r.faults).toEqual([{ path: 'asked.depthM', code: 'number.min', message: 'Running depth cannot be less than 0 m.' }])
  })
})

interface Described { type: string, flags?: { presence?: string, only?: boolean }, keys?: Record<string, Described>, items?: Described[], allow?: unknown[], rules?: { name: string, args?: { limit?: number } }[] }
interface Schema { type?: string, enum?: string[], properties?: Record<string, Schema>, required?: string[], items?: Schema, minimum?: number, maximum?: number, additionalProperties?: boolean }

describe('the OpenAPI description', () => {
  const doc = openApi('9.9.9')
  function same(joi: Described, api: Schema, path: string): void {
    if (joi.type === 'object') {
      expect(Object.keys(api.properties ?? {}).sort(), path).toEqual(Object.keys(joi.keys ?? {}).sort())
      expect([...(api.required ?? [])].sort(), path).toEqual(Object.entries(joi.keys ?? {}).filter(([, k]) => k.flags?.presence === 'required').map(([k]) => k).sort())
      expect(api.additionalProperties, path).toBe(false)
      for (const [key, value] of Object.entries(joi.keys ?? {})) same(value, api.properties![key]!, `${path}.${key}`)
    }
    else if (joi.type === 'array') same(joi.items![0]!, api.items!, `${path}[]`)
    else if (joi.type === 'number') {
      const limit = (name: string) => joi.rules?.find(r => r.name === name)?.args?.limit
      expect([api.minimum, api.maximum], path).toEqual([limit('min'), limit('max')])
    }
    else if (joi.flags?.only) expect(api.enum, path).toEqual(joi.allow)
  }
  it('says of a request just what the server checks', () => {
    same(requestSchema.describe() as unknown as Described, doc.components.schemas.Request as Schema, 'request')
  })
  it('describes every address', () => {
    expect(Object.keys(doc.paths).sort()).toEqual(['/calls', '/calls/{id}', '/health', '/openapi.json', '/recommendations', '/waters'])
    expect(doc.openapi).toMatch(/^3\.1/)
  })
})
