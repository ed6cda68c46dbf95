import { describe, expect, it } from 'vitest'
import { PHASES, inferPhase, setSeason } from '#core/season/phase'
import { usualTemperatureC } from '#core/season/usual'

const bass = 'largemouth-bass' as const

describe('phase', () => {
  it('tells spring from autumn at the same temperature by the date, on either side of the equator', () => {
    const at = (dayOfYear: number, latitudeDeg: number) =>
      inferPhase({ species: bass, temperatureC: 16, dayOfYear, latitudeDeg }).phase
    expect(at(100, 35)).toBe('spawn')
    expect(at(298, 35)).toBe('autumn')
    expect(at(100, -35)).toBe('autumn')
    expect(at(298, -35)).toBe('spawn')
  })
  it('goes by the trend without a date, and says what it assumed without either', () => {
    expect(inferPhase({ species: bass, temperatureC: 16, trend: 'falling' }).phase).toBe('autumn')
    const guess = inferPhase({ species: bass, temperatureC: 12 })
    expect(guess.phase).toBe('prespawn')
    expect(guess.basis.kind).toBe('undated')
  })
  it('lets smallmouth and crappie run ahead of largemouth', () => {
    const spring = { temperatureC: 14, dayOfYear: 100, latitudeDeg: 38 }
    expect(inferPhase({ species: bass, ...spring }).phase).toBe('prespawn')
    expect(inferPhase({ species: 'smallmouth-bass', ...spring }).phase).toBe('spawn')
    expect(inferPhase({ species: 'crappie', ...spring }).phase).toBe('spawn')
  })
  it('overlaps: shares sum to one, and half a degree moves none by more than an eighth', () => {
    for (const species of [bass, 'red-drum'] as const) {
      for (const trend of ['rising', 'falling'] as const) {
        let before = inferPhase({ species, trend, temperatureC: -1 }).shares
        for (let t = -0.5; t < 34; t += 0.5) {
          const { shares, phase } = inferPhase({ species, trend, temperatureC: t })
          expect(Object.values(shares).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
          expect(shares[phase]).toBe(Math.max(...Object.values(shares)))
          for (const p of PHASES) expect(Math.abs((shares[p] ?? 0) - (before[p] ?? 0))).toBeLessThanOrEqual(0.1251)
          before = shares
        }
      }
    }
  })
  it('knows no spawn for fish that keep no nests', () => {
    for (const species of ['red-drum', 'seatrout', 'snook', 'striped-bass'] as const) {
      const seen = new Set<string>()
      for (let t = 2; t < 32; t++) {
        for (const day of [60, 110, 160, 210, 300]) {
          Object.keys(inferPhase({ species, temperatureC: t, dayOfYear: day, latitudeDeg: 30 }).shares).forEach(p =>
            seen.add(p),
          )
        }
      }
      expect([...seen].sort()).toEqual(['autumn', 'spring', 'summer', 'winter'])
      expect(setSeason('prespawn', species)).toBe('spring')
      expect(setSeason('autumn', species)).toBe('autumn')
    }
    expect(setSeason('prespawn', bass)).toBe('prespawn')
  })
  it('works from the date alone', () => {
    expect(inferPhase({ species: bass, dayOfYear: 15, latitudeDeg: 42 }).phase).toBe('winter')
    expect(inferPhase({ species: bass, dayOfYear: 210, latitudeDeg: 32 }).phase).toBe('summer')
  })
  it('never goes back while the water warms in spring', () => {
    let last = -1
    for (let t = 2; t < 30; t += 0.5) {
      const i = PHASES.indexOf(inferPhase({ species: bass, temperatureC: t, dayOfYear: 110, latitudeDeg: 36 }).phase)
      expect(i).toBeGreaterThanOrEqual(last)
      last = i
    }
  })
})

describe('the usual temperature', () => {
  it.each([
    [215, 34, 28.8],
    [32, 34, 5.4],
    [124, 34, 17.1],
    [170, 34, 25.4],
    [260, 45, 22.2],
    [215, 48, 24.8],
    [215, 0, 31.5],
    [32, 60, 1],
    // Half a year round in the southern hemisphere.
    [33, -34, 28.8],
    [306, -34, 16.9],
  ])('on day %d at %d° is %d °C', (day, latitude, celsius) => {
    expect(usualTemperatureC(day, latitude)).toBeCloseTo(celsius, 1)
  })
})
