import { describe, expect, it } from 'vitest'
import type { LureId } from '#core/lure/types'
import { buildScene } from '#core/sight/scene'
import { say } from '#core/words/sentence'
import { gradesOf, ramp } from './grades'
import { REQUEST, type Request } from './request'
import { resolve, usualDepthM } from './resolve'

const LEAST: Request = {
  lure: 'jerkbait',
  water: { visibilityM: 2, tint: 'green' },
  light: { sky: 'clear', sunElevationDeg: 40 },
}
const FULL: Request = {
  lure: 'jerkbait',
  species: 'smallmouth-bass',
  school: 'match',
  water: {
    visibilityM: 2,
    tint: 'green',
    temperatureC: 14,
    trend: 'rising',
    salinity: 'fresh',
    pressure: 'high',
    depthM: 6,
    prey: ['shad'],
  },
  light: {
    sky: 'clear',
    cloud: 0.2,
    sunElevationDeg: -20,
    wind: 'chop',
    canopy: 'mat',
    facing: 'across',
    moon: 0.4,
    lamps: true,
  },
  season: 'autumn',
  forage: [{ kind: 'shad', share: 1 }],
  depthM: 3,
  background: 'rock',
  fishM: 0.7,
  fishedThrough: ['white'],
  bitesRefused: true,
  limit: 5,
  units: 'us',
}
const assumed = (r: Request) => resolve(r).assumed.map(a => a.path)
const valueOf = (r: Request, path: string) => resolve(r).assumed.find(a => a.path === path)?.value

describe('gaps of a request', () => {
  it('are filled by the usual, and every filling is said', () => {
    expect(assumed(LEAST)).toEqual([
      'season',
      'forage',
      'water.depthM',
      'depthM',
      'species',
      'water.salinity',
      'water.pressure',
      'water.temperatureC',
      'light.wind',
      'light.canopy',
      'light.facing',
      'background',
      'fishM',
    ])
    expect(resolve(LEAST)).toMatchObject({
      species: 'largemouth-bass',
      school: 'balanced',
      salinity: 'fresh',
      pressure: 'normal',
      temperatureC: null,
      cloud: 0.05,
      wind: 'calm',
      canopy: 'open',
      lamps: false,
      phase: 'summer',
      depthM: 1.27,
      waterM: null,
      facing: 'any',
      background: 'open',
      fishM: 0.5,
      fishedThrough: [],
      bitesRefused: false,
      limit: 10,
      units: 'metric',
    })
  })
  it('are none where all is given, but for an eye nobody has measured', () => {
    expect(assumed(FULL)).toEqual(['species'])
    expect(assumed({ ...FULL, species: 'largemouth-bass' })).toEqual([])
  })
  it('are of the night only at night', () => {
    const night: Request = { ...LEAST, light: { sky: 'clear', sunElevationDeg: -1 } }
    expect(assumed(night)).toEqual(expect.arrayContaining(['light.moon', 'light.lamps']))
    expect(valueOf(night, 'light.moon')).toBe(0.5)
    expect(assumed({ ...LEAST, light: { sky: 'clear', sunElevationDeg: 0 } })).not.toContain('light.moon')
    const dated: Request = {
      ...LEAST,
      light: { sky: 'clear', at: { time: '2026-05-01T05:00:00Z', latitude: 34, longitude: -84 } },
    }
    // A full moon on that night.
    expect(valueOf(dated, 'light.moon')).toBeGreaterThan(0.97)
    expect(resolve(dated).scene.sky.moonElevationDeg).not.toBe(40)
  })
  it('are worded for anglers', () => {
    for (const a of resolve(LEAST).assumed) expect(say(a.because, 'metric')).toMatch(/^[a-z].{10,}[^.]$/)
  })
  it('name only food worth naming', () => {
    const shares = valueOf(LEAST, 'forage') as { kind: string; share: number }[]
    for (const s of shares) expect(s.share).toBeGreaterThanOrEqual(0.05)
    expect(shares[0]!.kind).toBe('shad')
    const clued = { ...FULL, clues: ['birds'] } as Request
    expect(assumed(clued)).toContain('forage')
  })
  it('need the sun', () => {
    expect(() => resolve({ ...LEAST, light: { sky: 'clear' } })).toThrow(RangeError)
  })
  it('take the date of the place for the season', () => {
    const at = (time: string, latitude: number): Request => ({
      ...LEAST,
      water: { ...LEAST.water, temperatureC: 16 },
      light: { sky: 'clear', at: { time, latitude, longitude: -84 } },
    })
    expect(resolve(at('2026-04-10T12:00:00Z', 35)).phase).toBe('spawn')
    expect(resolve(at('2026-10-20T12:00:00Z', 35)).phase).toBe('autumn')
    expect(resolve(at('2026-04-10T12:00:00Z', -35)).phase).toBe('autumn')
  })
  it('leave the salt to the optics', () => {
    const salt = resolve({ ...LEAST, water: { ...LEAST.water, salinity: 'salt' } })
    expect([salt.scene.salt, resolve(LEAST).scene.salt]).toEqual([true, false])
    expect(resolve({ ...LEAST, water: { ...LEAST.water, salinity: 'brackish' } }).scene.salt).toBe(false)
  })
})

describe('grades of a moment', () => {
  const grades = (change: Partial<Request> = {}, light: Partial<Request['light']> = {}, visibilityM = 2) => {
    const r = { ...LEAST, ...change, water: { ...LEAST.water, visibilityM }, light: { ...LEAST.light, ...light } }
    const conditions = resolve(r as Request)
    return gradesOf(conditions, buildScene(conditions.scene).sky)
  }
  it.each([
    [0.5, 0, 0],
    [3, 1, 1],
    [9, 1, 1],
    [0.1, 0, 0],
  ])('%d m of visibility is clear to %d', (m, clear) => expect(grades({}, {}, m).clear).toBeCloseTo(clear, 9))
  it.each([
    [0.9, 0],
    [0.3, 1],
    [0.1, 1],
    [5, 0],
  ])('%d m of visibility is dirty to %d', (m, dirty) => expect(grades({}, {}, m).dirty).toBeCloseTo(dirty, 9))
  it('know sun from cloud, day from dusk and night', () => {
    expect(grades()).toMatchObject({ sunny: 1, dim: 0, night: 0 })
    expect(grades({}, { sky: 'overcast' }).sunny).toBe(0)
    const dusk = grades({}, { sunElevationDeg: -3 })
    expect([dusk.dim, dusk.sunny, dusk.night]).toEqual([1, 0, 0])
    expect(grades({}, { sunElevationDeg: -30 }).night).toBe(1)
    expect(grades({}, { sunElevationDeg: -30, lamps: true }).night).toBe(1)
    expect(grades({}, { canopy: 'mat' }).dim).toBe(1)
  })
  it('know wind and pace', () => {
    const winds = (['calm', 'ripple', 'chop', 'strong'] as const).map(wind => grades({}, { wind }).windy)
    expect(winds).toEqual([0, 0.4, 1, 1])
    const paces = (['jerkbait', 'swim-jig', 'spinnerbait'] as const).map(lure => grades({ lure }).slow)
    expect(paces).toEqual([1, 0.5, 0])
  })
  it('run straight between their ends, either way round', () => {
    expect([ramp(1, 0, 4), ramp(-1, 0, 4), ramp(9, 0, 4)]).toEqual([0.25, 0, 1])
    expect([ramp(1, 4, 0), ramp(5, 4, 0), ramp(-1, 4, 0)]).toEqual([0.75, 0, 1])
  })
})

describe('the fields of a request', () => {
  it('each have a name that begins a sentence', () => {
    const names: string[] = []
    const walk = (f: object): void => {
      const { name, fields, of } = f as { name: string; fields?: Record<string, object>; of?: object }
      names.push(name)
      for (const inner of [...Object.values(fields ?? {}), ...(of ? [of] : [])]) walk(inner)
    }
    walk(REQUEST)
    expect(names.length).toBeGreaterThan(30)
    for (const name of names) expect(name).toMatch(/^[A-Z][a-z' ]+$/)
  })
})

describe('the depth of the water', () => {
  it('lifts a lure of usual depth off the bottom, and lets one that belongs there down to it', () => {
    const depths = [null, 2, 30].map(m => [usualDepthM('deep-crankbait', m, 1.5), usualDepthM('casting-jig', m, 1.5)])
    expect(depths[0]).toEqual([4, 2])
    expect(depths[1]![0]).toBeCloseTo(1.7, 9)
    expect(depths[1]![1]).toBeCloseTo(1.94, 9)
    expect(depths[2]).toEqual([4, 2])
  })
  it('draws a lure up in dirty water and lets it down in clear, within what it does', () => {
    const depths = (lure: LureId) => [0.1, 1.5, 12].map(v => usualDepthM(lure, null, v))
    expect(depths('jerkbait')).toEqual([0.7, 1.2, 1.82])
    expect(depths('deep-crankbait')).toEqual([3, 4, 6.06])
    expect(depths('popper')).toEqual([0.05, 0.05, 0.05])
  })
})
