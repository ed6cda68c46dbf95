import { describe, expect, it } from 'vitest'
import { calibration, drawWater, jarsRight, tallJarsRight } from '../../tests/reference/calibration'
import { dice } from '../../tests/reference/dice'
import { CHANNELS, SENSOR } from '#core/evidence/likelihood'
import { targetReflectance } from '#core/evidence/target'
import { possibleWaters } from '#core/evidence/possible'
import { readWater } from '#core/evidence/readWater'
import { thinned } from '#core/evidence/thin'
import { evenNormals, repainted, strayed } from '#core/evidence/strays'
import { discAt, posteriorOf, tintOdds } from '#core/evidence/whichWater'
import type { Reading } from '#core/request/readings'
import { LightColumn } from '#core/light-field/lightField'
import { COLUMN } from '#core/light-field/table'
import { skyInputOf } from '#core/request/sky'
import { type SkyLight, skyLight } from '#core/sky/light'
import { EYE, EYE_BANDS, readingColumn, vanishingDepthM, waterFromReading } from '#core/reading/disc'
import { waterOptics } from '#core/water/optics'
import { TINTS, type TintId } from '#core/water/tints'
import { allowedWaters, recommendByReadings } from '#core/ranking/byReadings'

const read = (...readings: Reading[]) => readWater(readings, 'fresh', 'us')
const oddsOf = (readings: Reading[], tint: TintId) => read(...readings).tints.find(t => t.tint === tint)!.odds
/** White and black lowered in a water of a tint with a disc depth. */
function pair(tint: TintId, discM: number): Reading[] {
  const column = readingColumn(waterFromReading(TINTS[tint].recipe, false, discM))
  return (['white', 'black'] as const).map(target => ({
    kind: 'target',
    target,
    depthM: vanishingDepthM(column, targetReflectance(target)!),
  }))
}

/** A meter let down in a water of a tint, with or without colours. */
function meter(tint: TintId, discM: number, coloured: boolean): Reading {
  const column = readingColumn(waterFromReading(TINTS[tint].recipe, false, discM))
  const through = (weights: readonly number[], depthM: number) =>
    EYE_BANDS.reduce((sum, b, i) => sum + weights[i]! * column.value(b, depthM, COLUMN.ed), 0)
  const samples = [0.2, 0.5, 0.8, 1.2].map(depthM => ({
    depthM,
    lux: 1e4 * through(EYE, depthM),
    ...(coloured && Object.fromEntries(CHANNELS.map(c => [c, 100 * through(SENSOR[c], depthM)]))),
  }))
  return { kind: 'light', samples }
}

/** Ways of straying tried with each of 34 amounts of five recipes. */
const WAYS = possibleWaters(false).count / (5 * 34)

describe('waters that may be', () => {
  it('are predicted in straight lines to a few per cent of waters worked out one by one', () => {
    const waters = possibleWaters(false)
    expect(waters.prior.reduce((s, p) => s + p, 0)).toBeCloseTo(1, 9)
    const [z] = evenNormals(WAYS)
    const amounts = (tint: TintId) => waters.tint.indexOf(tint)
    const off: number[] = []
    for (const tint of ['green', 'tea', 'brown', 'mixed'] as const)
      for (let i = 4; i < 30; i += 4) {
        const { recipe } = TINTS[tint]
        const amount = 2e-3 * (60 / 2e-3) ** (i / 33)
        const grown = Object.fromEntries(
          Object.entries(recipe).map(([k, r]) => [k, r.at1 * amount ** r.power]),
        ) as unknown as Parameters<typeof strayed>[0]
        const tannin = grown.tannin / (1 + grown.tannin / 20)
        const column = readingColumn(waterOptics(strayed({ ...grown, tannin }, z!), false))
        off.push(Math.abs(Math.log(waters.discM[amounts(tint) + WAYS * i]! / vanishingDepthM(column))))
      }
    off.sort((a, b) => a - b)
    expect(off[Math.floor(0.9 * off.length)]).toBeLessThan(0.15)
  })
  it('stray evenly in all directions', () => {
    const normals = evenNormals(64)
    for (const k of [0, 1, 2] as const) {
      const mean = normals.reduce((s, z) => s + z[k], 0) / 64
      const square = normals.reduce((s, z) => s + z[k] ** 2, 0) / 64
      expect(Math.abs(mean)).toBeLessThan(0.1)
      expect(square).toBeGreaterThan(0.8)
      expect(square).toBeLessThan(1.2)
    }
    expect(repainted(0.5, 0)).toBeCloseTo(0.5)
    expect(repainted(0.5, 1)).toBeGreaterThan(0.5)
    expect(repainted(0.99, 3)).toBeLessThan(1)
  })
})

describe('the light that readings are taken in', () => {
  const LOW_SUN = { sky: 'clear', sunElevationDeg: 12 } as const
  const lowSun = skyLight(skyInputOf(LOW_SUN))
  it('moves predictions as waters worked out one by one under it are moved', () => {
    const usual = possibleWaters(false)
    const low = usual.under(lowSun)
    // The first way of straying is nearly none: its waters are the recipes themselves, in 34 amounts each.
    for (const tint of ['green', 'tea', 'brown'] as const)
      for (const i of [6, 13, 23, 28]) {
        const at = usual.tint.indexOf(tint) + WAYS * i
        const water = waterFromReading(TINTS[tint].recipe, false, usual.discM[at]!)
        const moved = vanishingDepthM(new LightColumn(water, lowSun)) / vanishingDepthM(readingColumn(water))
        expect(Math.abs(Math.exp(low.lnLost[at]! - usual.lnLost[at]!) - moved)).toBeLessThan(0.01)
      }
    expect(low.discM).toBe(usual.discM)
    expect(low.predict(w => w.constituents.silt)).toEqual(usual.predict(w => w.constituents.silt))
  })
  it('makes clearer water of a disc lost at the same depth in a low sun, and of light that falls as steeply', () => {
    const best = (reading: Reading, light?: typeof LOW_SUN) =>
      readWater([reading], 'fresh', 'metric', light).visibilityM.best
    const disc: Reading = { kind: 'disc', depthM: 1.5 }
    expect(best(disc, LOW_SUN) / best(disc)).toBeGreaterThan(1.015)
    expect(best(disc, LOW_SUN) / best(disc)).toBeLessThan(1.06)
    const samples = [0.2, 0.6, 1].map(m => ({ depthM: m, lux: 2e4 * Math.exp(-1.5 * m) }))
    const meanLn = (sky?: SkyLight) => {
      const { waters, odds } = posteriorOf([{ kind: 'light', samples }], false, sky)
      return odds.reduce((s, p, i) => s + p * Math.log(waters.discM[i]!), 0)
    }
    expect(meanLn(lowSun)).toBeGreaterThan(meanLn() + 0.01)
  })
  it('leaves what light does not touch alone', () => {
    for (const reading of [
      { kind: 'turbidity', fnu: 9 },
      { kind: 'jar', water: '#a06a20', paper: '#f1efe8', pathM: 0.3 },
    ] as const)
      expect(readWater([reading], 'fresh', 'metric', LOW_SUN).visibilityM).toEqual(
        readWater([reading], 'fresh', 'metric').visibilityM,
      )
  })
})

describe('readings of the water', () => {
  it('take a disc for what it is, and the tint for undecided', () => {
    const { visibilityM, tints, conflicts } = read({ kind: 'disc', depthM: 1.2 })
    expect(visibilityM.best).toBeCloseTo(1.2, 1)
    expect(visibilityM.low).toBeLessThan(1.05)
    expect(visibilityM.high).toBeGreaterThan(1.35)
    expect(tints).toHaveLength(5)
    expect(tints.reduce((s, t) => s + t.odds, 0)).toBeCloseTo(1, 9)
    expect(tints[0]!.odds).toBeLessThan(0.3)
    expect(conflicts).toEqual([])
  })
  it('tell silt from tea by white and black', () => {
    expect(oddsOf(pair('tea', 0.3), 'tea')).toBeGreaterThan(1.5 * oddsOf(pair('tea', 0.3), 'brown'))
    expect(oddsOf(pair('brown', 0.3), 'brown')).toBeGreaterThan(4 * oddsOf(pair('brown', 0.3), 'tea'))
  })
  it('tell tea by a meter’s colours, which its light alone does not', () => {
    const teaOf = (tint: TintId, coloured: boolean) => oddsOf([meter(tint, 1.5, coloured)], 'tea')
    expect(teaOf('tea', false)).toBeLessThan(0.5)
    expect(teaOf('tea', true)).toBeGreaterThan(0.8)
    expect(teaOf('green', true)).toBeLessThan(0.8 * teaOf('green', false))
  })
  it('narrow with every reading that agrees', () => {
    const width = (...r: Reading[]) => {
      const { low, high } = read(...r).visibilityM
      return Math.log(high / low)
    }
    const disc: Reading = { kind: 'disc', depthM: 1 }
    expect(width(disc, disc)).toBeLessThan(width(disc))
    expect(width(disc, { kind: 'turbidity', fnu: 8 })).toBeLessThan(width(disc))
    expect(width({ kind: 'look', tint: 'green' })).toBeGreaterThan(2 * width(disc))
  })
  it('follow each kind the right way', () => {
    const best = (...r: Reading[]) => read(...r).visibilityM.best
    expect(best({ kind: 'turbidity', fnu: 40 })).toBeLessThan(0.5 * best({ kind: 'turbidity', fnu: 4 }))
    expect(best({ kind: 'seen-to', what: 'motor', depthM: 0.3 })).toBeLessThan(
      best({ kind: 'seen-to', what: 'motor', depthM: 1.2 }),
    )
    const fall = (k: number): Reading => ({
      kind: 'light',
      samples: [0.2, 0.6, 1].map(m => ({ depthM: m, lux: 2e4 * Math.exp(-k * m) })),
    })
    expect(best(fall(4))).toBeLessThan(0.6 * best(fall(0.8)))
    const tea: Reading = { kind: 'jar', water: '#a06a20', paper: '#f1efe8', pathM: 0.08 }
    expect(read(tea).tints[0]!.tint).toBe('tea')
    expect(oddsOf([{ kind: 'look', tint: 'brown' }], 'brown')).toBeGreaterThan(0.35)
    const bone: Reading = { kind: 'target', target: 'jerkbait.bone', depthM: 2 }
    expect(best(bone)).toBeGreaterThan(1.2)
  })
  it('that no one water explains are named with what usually spoils them', () => {
    const { conflicts } = read(
      { kind: 'disc', depthM: 4 },
      { kind: 'look', tint: 'green' },
      { kind: 'turbidity', fnu: 60 },
    )
    expect(conflicts.map(c => c.paths)).toEqual([['readings.0', 'readings.2']])
    expect(conflicts[0]!.text).toContain('the disc was read in glare')
    const still: Reading = { kind: 'light', samples: [0.2, 1, 2].map((m, i) => ({ depthM: m, lux: 9000 * 2 ** i })) }
    expect(read(still).conflicts).toMatchObject([{ paths: ['readings.0'], code: 'reading.alien' }])
  })
  it('ask next for what would tell most', () => {
    expect(read({ kind: 'disc', depthM: 1 }).next).toMatchObject({ kind: 'jar' })
    expect(read({ kind: 'turbidity', fnu: 10 }).next.why.length).toBeGreaterThan(20)
    const jar: Reading = { kind: 'jar', water: '#a06a20', paper: '#f1efe8', pathM: 0.08 }
    expect(read(jar).next.kind).not.toBe('jar')
  })
  it.each([
    [
      { kind: 'look', tint: 'tea' },
      'disc',
      'A disc would be lost at about 3.2 m if it is tea, and at 1.2 m if it is brown.',
    ],
    [
      { kind: 'look', tint: 'brown' },
      'disc',
      'Of all readings, the disc would narrow it down most: to some 8 % of what is open now.',
    ],
    [
      { kind: 'disc', depthM: 4 },
      'target',
      'Black would be lost at about 76 cm if it is mixed, and at 1.9 m if it is green.',
    ],
    [
      { kind: 'turbidity', fnu: 10 },
      'jar',
      'Of all readings, the jar would narrow it down most: to some 29 % of what is open now.',
    ],
    [
      { kind: 'turbidity', fnu: 1 },
      'target',
      'Of all readings, the lowered lure would narrow it down most: to some 25 % of what is open now.',
    ],
  ] as const)('after %j ask for a %s', (reading, kind, why) => {
    expect(readWater([reading], 'fresh', 'metric').next).toMatchObject({ kind, why })
  })
  it('foretell what a disc reads in each tint as the waters of that tint have it', () => {
    const { waters, odds } = posteriorOf([{ kind: 'look', tint: 'tea' }], false)
    const mean = (tint: TintId) => {
      const of = [...odds.keys()].filter(i => waters.tint[i] === tint)
      const weight = of.reduce((s, i) => s + odds[i]!, 0)
      return Math.exp(of.reduce((s, i) => s + (odds[i]! / weight) * waters.lnLost[i]!, 0))
    }
    expect(mean('tea')).toBeCloseTo(3.2, 1)
    expect(mean('brown')).toBeCloseTo(1.2, 1)
  })
  it('leave a posterior whose shares and odds add up', () => {
    const p = posteriorOf([{ kind: 'disc', depthM: 0.6 }], false)
    const [low, middle, high] = discAt(p, [0.05, 0.5, 0.95])
    expect(low! < middle! && middle! < high!).toBe(true)
    expect(tintOdds(p).reduce((s, t) => s + t.odds, 0)).toBeCloseTo(1, 9)
    const drawn = allowedWaters(p)
    expect(drawn.reduce((s, w) => s + w.share, 0)).toBeCloseTo(1, 9)
    for (const w of drawn) expect(Math.abs(Math.log(w.visibilityM / 0.6))).toBeLessThan(0.7)
  })
})

describe('simulated anglers', () => {
  it('with any three readings are covered nine times in ten, and odds come true as often as they say', () => {
    const { covered, byOdds } = calibration(120, 11)
    expect(covered).toBeGreaterThan(0.85)
    expect(covered).toBeLessThan(0.97)
    for (const { said, true: came, count } of byOdds)
      if (count > 15) expect(Math.abs(came - said)).toBeLessThan(0.05 + 3 * Math.sqrt((said * (1 - said)) / count))
  }, 120_000)
  it('with a jar and a disc of ordinary water of a tint are right far more often than chance', () => {
    for (const [tint, right] of Object.entries(jarsRight(20, 3))) expect(right, tint).toBeGreaterThan(0.25)
  }, 120_000)
  it('with a tall jar and a disc tell each tint about eight times in ten or better', () => {
    const right = Object.entries(tallJarsRight(40, 9))
    for (const [tint, share] of right) expect(share, tint).toBeGreaterThan(0.74)
    expect(right.reduce((s, [, share]) => s + share / right.length, 0)).toBeGreaterThan(0.85)
  }, 120_000)
  it('are drawn over all tints', () => {
    const d = dice(1)
    const tints = Array.from({ length: 60 }, () => drawWater(d).tint)
    expect(new Set(tints).size).toBe(5)
  })
})

describe('a ranking by readings', () => {
  const by = (readings: Reading[]) =>
    recommendByReadings({
      lure: 'shallow-crankbait',
      water: { readings, temperatureC: 15 },
      light: { sky: 'clear', sunElevationDeg: 45 },
      limit: 12,
    })
  it('is for the likeliest water, and tells how often each of the first ten comes first', () => {
    const answer = by([
      { kind: 'disc', depthM: 1 },
      { kind: 'look', tint: 'tea' },
    ])
    expect(answer.water.tints[0]!.tint).toBe('tea')
    const firsts = answer.ranked.map(r => (r as { first?: number }).first)
    expect(firsts.slice(0, 10).every(f => f! >= 0 && f! <= 1)).toBe(true)
    expect(firsts[10]).toBeUndefined()
    expect(answer.sure).toBeGreaterThanOrEqual(firsts[0]!)
    expect(answer.sure).toBeLessThanOrEqual(1)
  }, 60_000)
  it('is surer of its pick the more is read', () => {
    const vague = by([{ kind: 'look', tint: 'tea' }])
    const known = by([...pair('tea', 1), { kind: 'disc', depthM: 1 }, { kind: 'look', tint: 'tea' }])
    expect(known.sure).toBeGreaterThan(vague.sure)
  }, 60_000)
})

describe('long casts of a light meter', () => {
  const cast = (n: number, from = 0.1): Extract<Reading, { kind: 'light' }> => ({
    kind: 'light',
    samples: Array.from({ length: n }, (_, i) => {
      const depthM = from + (3 * i) / n
      return { depthM, lux: 2e4 * Math.exp(-0.9 * depthM) }
    }),
  })
  const lengths = (of: readonly Reading[]) => of.map(r => (r.kind === 'light' ? r.samples.length : 0))
  it('keep their ends and are even between, short ones leaving room to the long', () => {
    const whole = cast(40)
    const asked: Reading[] = [whole, { kind: 'disc', depthM: 1 }, cast(4), cast(40, 0.2)]
    const { readings, thinned: less } = thinned(asked)
    expect(lengths(readings)).toEqual([22, 0, 4, 22])
    expect(less.map(t => [t.index, t.kept, t.of])).toEqual([
      [0, 22, 40],
      [3, 22, 40],
    ])
    const first = readings[0] as ReturnType<typeof cast>
    expect([first.samples[0], first.samples.at(-1)]).toEqual([whole.samples[0], whole.samples.at(-1)])
    expect(thinned([cast(40)])).toEqual({ readings: [cast(40)], thinned: [] })
    expect(lengths(thinned(Array.from({ length: 12 }, () => cast(40))).readings)).toEqual(new Array(12).fill(4))
  })
  it('say what they said before, nearly, and that some of them was not worked at', () => {
    const whole = readWater([cast(40)], 'fresh', 'metric')
    const some = readWater([cast(40), cast(40), cast(40)], 'fresh', 'metric')
    expect(some.visibilityM.best / whole.visibilityM.best).toBeGreaterThan(0.9)
    expect(some.visibilityM.best / whole.visibilityM.best).toBeLessThan(1.1)
    expect([whole.thinned, some.thinned!.map(t => t.path)]).toEqual([
      undefined,
      ['readings.0', 'readings.1', 'readings.2'],
    ])
    expect(some.thinned![0]!.text).toBe(
      'Of 40 samples 16 were worked at: the shallowest, the deepest, and evenly between.',
    )
  })
})

describe('black beside white, lowered in one water', () => {
  const odds = (tint: string, blackM: number) =>
    readWater(
      [
        { kind: 'target', target: 'white', depthM: 1 },
        { kind: 'target', target: 'black', depthM: blackM },
      ],
      'fresh',
      'metric',
    ).tints.find(t => t.tint === tint)!.odds
  it('tells mixed water the less, the deeper black is seen, and clear water the more', () => {
    const depths = [0.25, 0.4, 0.6, 0.8, 1, 1.2]
    const falls = (of: number[]) => of.every((v, i) => i === 0 || v <= of[i - 1]! + 0.005)
    expect(falls(depths.map(m => odds('mixed', m)))).toBe(true)
    expect(falls(depths.map(m => -odds('blue-clear', m)))).toBe(true)
  })
})
