import { describe, expect, it } from 'vitest'
import { luresAnswerSchema } from '#shared/schema/lures'
import { COVERS, COVER_IDS, DENSITIES, coverOf } from '#core/cover/cover'
import { PASSAGE, PASSAGES, passageOf } from '#core/lure/passage'
import { LURES, LURE_IDS, type LureId } from '#core/lure/types'
import { recommend } from '#core/ranking/recommend'
import { uniformFrom } from '#core/numeric/uniform'
import { WINDS, type Wind } from '#core/sky/weather'
import { luresHere } from './answer'
import { pairLinesOf } from './pairLines'
import { fishedHere, luresIn, shutOut } from './occasions'
import type { LuresRequest } from './request'
import { searched } from './worth'

const ASKED: LuresRequest = {
  water: {
    visibilityM: 1.1,
    tint: 'green',
    temperatureC: 14.5,
    trend: 'rising',
    depthM: 1.8,
    cover: { kind: 'grass', density: 'scattered', topM: 0.9 },
  },
  light: { sky: 'partly', sunElevationDeg: 35, wind: 'ripple' },
  season: 'prespawn',
}
const water = (patch: Partial<LuresRequest['water']>): LuresRequest => ({
  ...ASKED,
  water: { ...ASKED.water, ...patch },
})

describe('which lure here', () => {
  const answer = luresHere(ASKED)
  it('answers in the shape it is described by, every lure of the water once', () => {
    expect(luresAnswerSchema.validate(JSON.parse(JSON.stringify(answer))).error).toBeUndefined()
    const named = [...answer.here, ...answer.notHere].map(h => h.lure)
    expect([...named].sort()).toEqual([...luresIn('fresh')].sort())
    expect(luresIn('salt')).toContain('walking-topwater')
    expect(luresIn('salt')).not.toContain('casting-jig')
  })
  it('gives each its best finish now, the first of its whole ranking where it is run', () => {
    for (const { lure, depthM, finish } of answer.here.slice(0, 4)) {
      const { ranked } = recommend({ ...ASKED, lure, depthM })
      expect(finish.id).toBe(ranked[0]!.finish.id)
    }
  })
  it('runs lures over the top of the grass where it would hold them, and along the bed what belongs there', () => {
    const depth = (lure: LureId) => answer.here.find(h => h.lure === lure)!.depthM
    expect(depth('lipless-crankbait')).toBeLessThanOrEqual(0.9)
    expect(depth('casting-jig')).toBeGreaterThan(1.7)
  })
  it('says what was taken for granted, and asks nothing of a lure it was not asked about', () => {
    expect(answer.assumed.map(a => a.path)).toContain('background')
    const few = luresHere({ ...ASKED, lures: ['worm', 'jigging-spoon'] })
    expect([few.here.map(h => h.lure), few.notHere.map(h => [h.lure, h.gate])]).toEqual([
      ['worm'],
      [['jigging-spoon', 'depth']],
    ])
    expect(few.pairs).toEqual([])
  })
  it('knows of hearing only where something sounds', () => {
    expect(luresHere({ ...ASKED, lures: ['worm'] }).says).toEqual([])
    const drum = luresHere({ ...water({ salinity: 'salt' }), species: 'red-drum', lures: ['walking-topwater'] })
    expect(drum.says.map(s => s.code)).toEqual(['senses.shallow-sound', 'senses.drums'])
  })
  it('names the sense that finds a lure only where the bands do not overlap', () => {
    const mud = luresHere(water({ visibilityM: 0.15, tint: 'brown', temperatureC: 22 }))
    for (const { senses, seen, felt } of [...answer.here, ...mud.here]) {
      if (senses?.code === 'senses.felt-first') expect(felt.lowM).toBeGreaterThan(seen.sightM)
      if (senses?.code === 'senses.seen-first') expect(seen.sightM).toBeGreaterThan(2 * felt.highM)
      if (!senses) expect(felt.lowM <= seen.sightM && seen.sightM <= 2 * felt.highM + 1e-3).toBe(true)
    }
    expect(mud.here.some(h => h.senses?.code === 'senses.felt-first')).toBe(true)
  })
  it('turns its picks with wind, temperature and cover', () => {
    const gates = (r: LuresRequest) => Object.fromEntries(luresHere(r).notHere.map(n => [n.lure, n.gate]))
    expect(gates({ ...ASKED, light: { ...ASKED.light, wind: 'strong' } }).buzzbait).toBe('wind')
    expect(gates(water({ temperatureC: 8 }))['walking-topwater']).toBe('cold')
    expect(gates(water({ cover: { kind: 'mat', density: 'thick' } })).spinnerbait).toBe('cover')
    expect(gates(water({ salinity: 'salt' }))).toEqual({ 'jigging-spoon': 'depth' })
    expect(gates({ ...water({ cover: { kind: 'bed' } }), season: 'spawn' }).spinnerbait).toBe('beds')
    expect(gates(water({ visibilityM: 0.2, cover: { kind: 'open' } })).jerkbait).toBe('clarity')
    expect(gates({ ...water({ salinity: 'salt' }), lures: ['worm'] })).toEqual({ worm: 'salinity' })
    const noon: LuresRequest = { ...ASKED, light: { sky: 'clear', sunElevationDeg: 70 }, season: 'summer' }
    const open = { ...noon, water: { visibilityM: 3, tint: 'green', depthM: 4, cover: { kind: 'open' } } } as const
    expect(gates(open)['walking-topwater']).toBe('light')
    expect(gates({ ...noon, ...water({ temperatureC: 25 }), light: noon.light })['jigging-spoon']).toBe('depth')
  })
})

describe('what cannot be fished here', () => {
  it('is never above the line, and what keeps it out is named', () => {
    const next = uniformFrom(39)
    const one = <T>(of: readonly T[]): T => of[Math.floor(next() * of.length)]!
    for (let i = 0; i < 2000; i++) {
      const cover = { kind: one(COVER_IDS), density: one(DENSITIES), ...(next() < 0.4 ? { topM: 3 * next() } : {}) }
      const depthM = 0.3 + 9 * next() ** 2
      const lure = one(luresIn('fresh'))
      const light = { ...ASKED.light, wind: one(Object.keys(WINDS) as Wind[]) }
      const request: LuresRequest = { ...water({ depthM, cover, temperatureC: 3 + 27 * next() }), light }
      const out = shutOut(fishedHere(request, lure).occasion)
      const { passage } = COVERS[cover.kind]
      const { runsM, surface, bottom } = LURES[lure]
      const topM = coverOf(cover, depthM).topM!
      const throughIt = bottom || runsM[0] >= topM
      const hangs = passage && throughIt && passageOf(lure, passage, cover.density) === 'hangs'
      const tooShallow = !surface && depthM < runsM[0]
      if (hangs || tooShallow) expect(out?.gate, `${lure} in ${JSON.stringify(request)}`).toMatch(/cover|depth/)
      if (surface && light.wind === 'strong') expect(out).not.toBeNull()
    }
  })
  it('is told the same by the advisories of its own ranking', () => {
    for (const lure of LURE_IDS.filter(l => l in PASSAGE).slice(0, 12)) {
      const request = water({ temperatureC: 24, cover: { kind: 'grass', density: 'thick' } })
      const { notHere, here } = luresHere({ ...request, lures: [lure] })
      const { advisories } = recommend({ ...request, lure, depthM: here[0]?.depthM })
      const windows = advisories.filter(a => a.kind === 'lure-window').map(a => a.code)
      if (notHere[0] && notHere[0].gate !== 'salinity') expect(windows).toContain(notHere[0].why.code)
      if (here[0]?.but) expect(windows).toContain(here[0].but.code)
    }
  })
})

describe('the lines of pairs', () => {
  const lines = pairLinesOf(ASKED)
  it('stand today where the answer has them', () => {
    const { pairs } = luresHere(ASKED)
    for (const { a, b, steps, now } of lines) {
      const pair = pairs.find(p => p.a === a && p.b === b)
      if (pair && now !== null && steps[now]!.name !== '') expect([a, steps[now]!.wins]).toEqual([a, pair.wins])
    }
    expect(lines.map(l => l.now)).toEqual([2, 1, 0, 2, 3])
  })
  it('turn: blades in open, stained water, a swim jig in thick grass; a frog that pops where it is broken', () => {
    const [blades, frogs, vibrating, , knock] = lines
    expect([blades!.steps[0]!.wins, blades!.steps[3]!.wins]).toEqual(['either', 'b'])
    const [windy] = pairLinesOf({
      ...water({ visibilityM: 0.4, tint: 'brown' }),
      light: { ...ASKED.light, wind: 'chop' },
    })
    expect(windy!.steps[0]!.wins).toBe('a')
    expect(vibrating!.steps.map(s => s.wins)).toEqual(['a', expect.any(String), 'b', 'b'])
    expect(frogs!.steps.every(s => s.wins === 'neither')).toBe(true)
    expect([knock!.steps[0]!.wins, knock!.steps[5]!.wins]).toEqual(['a', 'either'])
    expect(pairLinesOf(water({ salinity: 'salt' })).map(l => l.a)).toEqual(['knocking'])
  })
})

describe('cover', () => {
  it('is no easier when it is thicker, whatever the lure', () => {
    for (const lure of LURE_IDS) {
      for (const passage of Object.keys(PASSAGE[lure].through) as (keyof (typeof PASSAGE)[LureId]['through'])[]) {
        const steps = DENSITIES.map(d => PASSAGES.indexOf(passageOf(lure, passage, d)))
        expect(steps, `${lure} ${passage}`).toEqual([...steps].sort((a, b) => a - b))
      }
    }
  })
  it('brings what stands behind a lure and what is over it, unless they are said', () => {
    const mat = water({ cover: { kind: 'mat' } })
    const { conditions } = fishedHere(mat, 'worm').occasion
    expect([conditions.background, conditions.canopy]).toEqual(['green-weed', 'mat'])
    const said = { ...mat, background: 'dark-mud', light: { ...mat.light, canopy: 'open' } } as const
    const own = fishedHere(said, 'worm').occasion.conditions
    expect([own.background, own.canopy]).toEqual(['dark-mud', 'open'])
  })
  it('stands no higher than the water is deep', () => {
    expect(coverOf({ kind: 'rock', topM: 5 }, 1.2).topM).toBe(1.2)
    expect(coverOf({ kind: 'grass' }, 2)).toEqual({ kind: 'grass', density: 'scattered', topM: 1 })
    expect(coverOf({ kind: 'grass' }, null).topM).toBeNull()
  })
})

describe('water searched', () => {
  it('grows with range and speed, and falls with the depth a cast must sink to', () => {
    // 10 s · (2 · 0.5 m · 0.7 m/s + π · 0.25 m² / 30 s), all of it fished at the surface.
    expect(searched('spinnerbait', 0.5, 0)).toBeCloseTo(7.26, 2)
    expect(searched('spinnerbait', 0.5, 3)).toBeLessThan(searched('spinnerbait', 0.5, 0.5))
    expect(searched('jigging-spoon', 0.5, 12)).toBe(searched('jigging-spoon', 0.5, 6))
  })
})
