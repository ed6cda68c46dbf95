import { describe, expect, it } from 'vitest'
import type { Request } from '#core/request/request'
import { SCHOOL_IDS, type SchoolId } from '#core/words/schools'
import { balancedWeights } from '#core/ranking/weights'
import { rank } from '#core/ranking/recommend'

const ask = (
  change: {
    lure?: Request['lure']
    water?: Partial<Request['water']>
    light?: Partial<Request['light']>
    school?: SchoolId
  } & Partial<Pick<Request, 'background' | 'bitesRefused'>>,
) =>
  rank({
    lure: change.lure ?? 'stick-worm',
    school: change.school ?? 'balanced',
    ...(change.background ? { background: change.background } : {}),
    ...(change.bitesRefused ? { bitesRefused: true } : {}),
    water: { visibilityM: 1.5, tint: 'green', ...change.water },
    light: { sky: 'clear', sunElevationDeg: 50, ...change.light },
    limit: 60,
  })
const said = (worked: ReturnType<typeof rank>, school: SchoolId, pattern: string) =>
  worked.ranked.find(j => j.finish.id.endsWith(`.${pattern}`))!.stances[school].value

describe('the schools', () => {
  it('match follows what is eaten', () => {
    const on = (kind: 'shad' | 'crawfish') =>
      rank({
        lure: 'shallow-crankbait',
        school: 'match',
        water: { visibilityM: 2, tint: 'green' },
        light: { sky: 'partly', sunElevationDeg: 45 },
        forage: [{ kind, share: 1 }],
      }).ranked[0]!.finish.mimics
    expect(on('crawfish')).toBe('crawfish')
    expect(['shad', 'herring']).toContain(on('shad'))
  })
  it('blend takes green over weed and pale over sand, and gives way to bold in mud', () => {
    const weed = ask({ water: { visibilityM: 3 }, background: 'green-weed' })
    expect(said(weed, 'blend', 'green-pumpkin')).toBeGreaterThan(said(weed, 'blend', 'white'))
    const sand = ask({ water: { visibilityM: 3 }, background: 'sand' })
    expect(said(sand, 'blend', 'sand')).toBeGreaterThan(said(sand, 'blend', 'black'))
    const mud = ask({ water: { visibilityM: 0.25, tint: 'brown' } })
    expect(said(mud, 'blend', 'black')).toBeGreaterThan(said(mud, 'blend', 'white'))
  })
  it('contrast and blend pull apart over weed', () => {
    const weed = ask({ water: { visibilityM: 3 }, background: 'green-weed' })
    expect(said(weed, 'contrast', 'white') - said(weed, 'contrast', 'green-pumpkin')).toBeGreaterThan(0)
    expect(said(weed, 'blend', 'white') - said(weed, 'blend', 'green-pumpkin')).toBeLessThan(0)
  })
  it('bright day turns round under cloud', () => {
    const lead = (sky: 'clear' | 'overcast') => {
      const w = ask({ lure: 'grub', water: { visibilityM: 4, tint: 'blue-clear' }, light: { sky } })
      return said(w, 'bright-day', 'pink') - said(w, 'bright-day', 'black')
    }
    expect(lead('clear')).toBeGreaterThan(0)
    expect(lead('overcast')).toBeLessThan(0)
  })
  it("the fish's eye hears the water: white in tea, black in silt", () => {
    const lead = (tint: 'tea' | 'brown') => {
      const w = ask({ water: { visibilityM: 0.5, tint } })
      return said(w, 'fish-eye', 'white') - said(w, 'fish-eye', 'black')
    }
    expect(lead('tea')).toBeGreaterThan(0)
    expect(lead('brown')).toBeLessThan(0)
  })
  it('few colours speaks for its few', () => {
    const w = ask({ lure: 'spinnerbait' })
    expect(said(w, 'few-colours', 'white')).toBeGreaterThan(said(w, 'few-colours', 'hot-pink'))
  })
  it('reaction wants it loud', () => {
    const w = ask({ lure: 'deep-crankbait' })
    expect(said(w, 'reaction', 'chartreuse-blue')).toBeGreaterThan(said(w, 'reaction', 'silver-shad'))
  })
})

describe('the balance', () => {
  it('sums to one, leaves none out and says why it shifts', () => {
    for (const visibilityM of [0.1, 0.5, 2, 8]) {
      for (const bitesRefused of [true, false]) {
        const { share, because } = balancedWeights(
          ask({ water: { visibilityM, pressure: 'high' }, bitesRefused }).moment,
        )
        expect(SCHOOL_IDS.reduce((s, id) => s + share[id], 0)).toBeCloseTo(1, 9)
        for (const id of SCHOOL_IDS) expect(share[id]).toBeGreaterThan(0.01)
        if (bitesRefused) expect(because.map(b => b.code)).toContain('weights.refused')
      }
    }
  })
  it('leans to matching when clear and pressured, to contrast when dirty, to provoking when refused', () => {
    const share = (change: Parameters<typeof ask>[0]) => balancedWeights(ask(change).moment).share
    expect(share({ water: { visibilityM: 4, pressure: 'high' } }).match).toBeGreaterThan(
      share({ water: { visibilityM: 4, pressure: 'low' } }).match,
    )
    expect(share({ water: { visibilityM: 0.3, tint: 'brown' } }).contrast).toBeGreaterThan(share({}).contrast)
    expect(share({ bitesRefused: true }).reaction).toBeGreaterThan(share({}).reaction)
  })
})
