import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import type { Request } from '#core/request/request'
import { SCHOOL_IDS } from '#core/words/schools'
import { CUSTOMS } from '#core/rules/customs/all'
import { fitting } from '#core/rules/custom'
import { finishById, finishesOf } from '#core/lure/finish'
import { LURE_IDS } from '#core/lure/types'
import { rank, recommend } from '#core/ranking/recommend'
import { differs } from '#core/ranking/rotation'
import { TINTS, type TintId } from '#core/water/tints'

const CRANK: Request = {
  lure: 'shallow-crankbait',
  water: { visibilityM: 1.4, tint: 'green', temperatureC: 15 },
  light: { sky: 'partly', sunElevationDeg: 45 },
  limit: 60,
}
const scoreOf = (r: Request, pattern: string) =>
  recommend(r).ranked.find(x => x.finish.id.endsWith(`.${pattern}`))!.score

describe('customs', () => {
  it('each speak for something in the catalogue of a lure they hold for', () => {
    const everything = LURE_IDS.flatMap(lure => rank({ ...CRANK, lure }).ranked)
    const idle = CUSTOMS.filter(c => {
      const reach = everything.filter(m => !c.when.lures || c.when.lures.includes(m.finish.lure))
      return !reach.some(m => fitting(c.favours)(m) > 0)
    })
    expect(idle.map(c => c.id)).toEqual([])
  })
  it('cover every lure type', () => {
    for (const lure of LURE_IDS) {
      const ids = new Set(
        ['clear', 'overcast'].flatMap(sky =>
          [0.35, 1, 4].flatMap(visibilityM =>
            recommend({
              ...CRANK,
              lure,
              water: { ...CRANK.water, visibilityM },
              light: { sky: sky as 'clear', sunElevationDeg: 40 },
            }).ranked.flatMap(r => r.reasons.flatMap(x => x.custom?.id ?? [])),
          ),
        ),
      )
      expect(ids.size, lure).toBeGreaterThanOrEqual(3)
    }
  })
})

describe('an answer', () => {
  it('has reasons that add up to the score, for every lure and school', () => {
    for (const lure of LURE_IDS) {
      for (const school of ['balanced', ...SCHOOL_IDS] as const) {
        for (const r of recommend({ ...CRANK, lure, school, limit: 5 }).ranked) {
          expect(r.reasons.reduce((s, x) => s + x.effect, 0)).toBeCloseTo(r.score - 0.5, 3)
          expect(r.score).toBeGreaterThan(0)
          expect(r.score).toBeLessThan(1)
        }
      }
    }
  })
  it('gives three rods that differ in kind, never two look-alikes where the box has better', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LURE_IDS),
        fc.constantFrom(...(Object.keys(TINTS) as TintId[])),
        fc.double({ min: 0.15, max: 8, noNaN: true }),
        (lure, tint, visibilityM) => {
          const worked = rank({ ...CRANK, lure, water: { ...CRANK.water, tint, visibilityM } })
          const rods = recommend({ ...CRANK, lure, water: { ...CRANK.water, tint, visibilityM } }).rotation.map(r =>
            worked.ranked.find(j => j.finish.id === r.finishId)!,
          )
          expect(new Set(rods).size).toBe(3)
          for (const [a, b] of [
            [0, 1],
            [0, 2],
            [1, 2],
          ] as const)
            expect(differs(rods[a]!, rods[b]!), `${rods[a]!.finish.name} / ${rods[b]!.finish.name}`).toBeGreaterThan(
              0.3,
            )
        },
      ),
      { numRuns: 40, seed: 3 },
    )
  })
  it('is the same for the same request, and does not depend on the order of the catalogue', () => {
    const a = recommend(CRANK)
    expect(recommend({ ...CRANK })).toEqual(a)
    const finishes = finishesOf('shallow-crankbait') as unknown[]
    finishes.reverse()
    try {
      expect(recommend(CRANK)).toEqual(a)
    } finally {
      finishes.reverse()
    }
  })
  it('steers away from what has been shown, and towards provoking when natural is refused', () => {
    const jerk: Request = {
      ...CRANK,
      lure: 'jerkbait',
      water: { visibilityM: 4, tint: 'blue-clear', temperatureC: 14 },
      light: { sky: 'clear', sunElevationDeg: 50 },
    }
    expect(scoreOf({ ...jerk, fishedThrough: ['white'] }, 'white')).toBeLessThan(scoreOf(jerk, 'white'))
    const top = recommend({ ...jerk, bitesRefused: true }).ranked.slice(0, 3)
    expect(top.every(r => r.finish.traits.vivid)).toBe(true)
  })
  it('offers only dress-ups that gain, and shows both sides of a quarrel with numbers', () => {
    for (const lure of LURE_IDS)
      for (const d of recommend({ ...CRANK, lure }).dressUps) expect(d.gain).toBeGreaterThan(0)
    const weed = recommend({
      ...CRANK,
      lure: 'stick-worm',
      water: { visibilityM: 3, tint: 'green', pressure: 'high' },
      background: 'green-weed',
    })
    const quarrel = weed.disagreements.find(d => d.between.includes('blend') && d.between.includes('contrast'))!
    expect(quarrel.picks.map(id => finishById(id)!.families[0])).toContain('olive')
    expect(quarrel.optics).toMatch(/\d/)
  })
  it('warns where it matters and only there', () => {
    const kinds = (r: Request) =>
      recommend(r)
        .advisories.filter(a => a.kind === 'safety')
        .map(a => a.text)
        .join(' ')
    expect(kinds({ ...CRANK, water: { ...CRANK.water, temperatureC: 8 } })).toMatch(/cold shock/i)
    expect(kinds({ ...CRANK, water: { ...CRANK.water, temperatureC: 22 } })).not.toMatch(/cold shock/i)
    expect(kinds({ ...CRANK, light: { sky: 'clear', sunElevationDeg: -30 } })).toMatch(/life jacket/)
    expect(
      recommend({ ...CRANK, lure: 'walking-frog', light: { ...CRANK.light, wind: 'strong' } }).advisories.some(
        a => a.kind === 'lure-window',
      ),
    ).toBe(true)
    expect(
      recommend({ ...CRANK, season: 'spawn', water: { ...CRANK.water, temperatureC: 5 } }).advisories.some(a =>
        /cold for the spawn/.test(a.text),
      ),
    ).toBe(true)
  })
  it('speaks in the units asked for', () => {
    const said = (units: 'us' | 'metric') =>
      JSON.stringify(recommend({ ...CRANK, units, school: 'fish-eye' }).ranked.map(r => r.reasons))
    expect(said('us')).toMatch(/\d (ft|in)\b/)
    expect(said('metric')).not.toMatch(/\d ft\b/)
  })
})

describe('leaning on a log', () => {
  const asked = {
    lure: 'jerkbait',
    water: { visibilityM: 1.2, tint: 'green', temperatureC: 14 },
    light: { sky: 'partly', sunElevationDeg: 40 },
  } as const
  it('changes nothing where nothing was learned, nor where one school alone is asked', () => {
    const scores = (w: ReturnType<typeof rank>) => w.ranked.map(j => [j.finish.id, j.score])
    expect(scores(rank(asked, [], {}))).toEqual(scores(rank(asked)))
    const alone = { ...asked, school: 'match' } as const
    expect(scores(rank(alone, [], { contrast: 0.3 }))).toEqual(scores(rank(alone)))
  })
  it('moves finishes by 1.7 shifts of what each school thinks of them, and says so in reasons that add up', () => {
    const plain = new Map(rank(asked).ranked.map(j => [j.finish.id, j]))
    const leaned = rank(asked, [], { contrast: 0.2 })
    for (const j of leaned.ranked) {
      const before = plain.get(j.finish.id)!
      expect(j.total - before.total).toBeCloseTo(1.7 * 0.2 * before.stances.contrast.value, 9)
      expect(j.because.reduce((s, r) => s + r.effect, 0)).toBeCloseTo(j.score - 0.5, 9)
      const said = j.because.filter(r => r.says().code === 'season.leaned')
      expect(said).toHaveLength(before.stances.contrast.value === 0 ? 0 : 1)
    }
  })
  it('takes no school’s weight below a fiftieth', () => {
    const { judge } = rank(asked)
    const all = Object.fromEntries(SCHOOL_IDS.map(id => [id, -1]))
    const leaned = rank(asked, [], all)
    const j = leaned.ranked[0]!
    const before = rank(asked).ranked.find(b => b.finish.id === j.finish.id)!
    const floor = SCHOOL_IDS.reduce(
      (s, id) => s + 1.7 * Math.min(0, 0.02 - judge.weights.share[id]) * j.stances[id].value,
      0,
    )
    expect(j.total - before.total).toBeCloseTo(floor, 9)
  })
})

describe('how picks move', () => {
  describe('as the sun comes out over chop, a flashy finish against its matte twin', () => {
    type Light = Request['light']
    const lead = (light: Partial<Light>) => {
      const r: Request = {
        ...CRANK,
        forage: [{ kind: 'shad', share: 1 }],
        light: { sky: 'clear', sunElevationDeg: 50, wind: 'chop', ...light },
      }
      return scoreOf(r, 'silver-shad') - scoreOf(r, 'pearl-shad')
    }
    const steps = (from: number, to: number) => Array.from({ length: 21 }, (_, i) => from + ((to - from) * i) / 20)
    /**
     * Once the sun is plainly out nothing more is to be gained; what the rest of the ranking does then stays this
     * small.
     */
    const RIPPLE = 0.03
    it.each([
      ['cloud thins', steps(1, 0).map(cloud => ({ cloud }))],
      ['the sun climbs', steps(5, 70).map(sunElevationDeg => ({ sunElevationDeg }))],
    ])('gains as %s, and keeps what it gained', (_, lights) => {
      const leads = lights.map(lead)
      expect(leads.at(-1)! - leads[0]!).toBeGreaterThan(0.3)
      let most = -Infinity
      for (const l of leads) {
        expect(l).toBeGreaterThan(most - RIPPLE)
        most = Math.max(most, l)
      }
    })
    it('gains by wind in sun', () => {
      expect(lead({ wind: 'chop' }) - lead({ wind: 'calm' })).toBeGreaterThan(0.08)
    })
  })
  it('turning tea to silt at the same clarity moves black up against white', () => {
    const lead = (tint: TintId, school: Request['school']) => {
      const r: Request = { ...CRANK, lure: 'stick-worm', school, water: { visibilityM: 0.5, tint } }
      return scoreOf(r, 'black') - scoreOf(r, 'white')
    }
    for (const school of ['fish-eye', 'contrast', 'balanced'] as const)
      expect(lead('brown', school)).toBeGreaterThan(lead('tea', school))
  })
  it("moves smoothly: a hair's breadth of clarity never jumps a score", () => {
    let before = recommend(CRANK)
    for (let m = 0.3; m < 3; m *= 1.02) {
      const now = recommend({ ...CRANK, water: { ...CRANK.water, visibilityM: m } })
      if (m > 0.31) {
        for (const r of now.ranked)
          expect(
            Math.abs(r.score - before.ranked.find(x => x.finish.id === r.finish.id)!.score),
            `${r.finish.name} at ${m}`,
          ).toBeLessThan(0.12)
      }
      before = now
    }
  })
})
