import { describe, expect, it } from 'vitest'
import { CoatError, parseCoat } from '#core/paintwork/coat'
import { FAMILIES } from '#core/paintwork/families'
import { buildFinish, finishById, finishesOf } from '#core/lure/finish'
import { FORAGE_KINDS, preyCoat } from '#core/prey/forage'
import { LURE_IDS, SIDES, lureType } from '#core/lure/types'
import { PARTS, type Part } from '#core/paintwork/parts'

describe.each(LURE_IDS)('the catalogue of %s', lure => {
  const finishes = finishesOf(lure)
  it('has 15 to 40 finishes with names and ids of their own', () => {
    expect(finishes.length).toBeGreaterThanOrEqual(15)
    expect(finishes.length).toBeLessThanOrEqual(40)
    expect(new Set(finishes.map(f => f.id)).size).toBe(finishes.length)
    expect(new Set(finishes.map(f => f.name)).size).toBe(finishes.length)
  })
  it('gives every finish one to three known families, traits and parts the lure has', () => {
    for (const f of finishes) {
      expect(f.families.length).toBeGreaterThanOrEqual(1)
      expect(f.families.length).toBeLessThanOrEqual(3)
      for (const family of f.families) expect(FAMILIES).toContain(family)
      for (const p of f.parts) expect(PARTS).toContain(p.part)
      expect(finishById(f.id)).toBe(f)
    }
  })
  it('sees from somewhere, and its parts make a whole', () => {
    const type = lureType(lure)
    expect(SIDES.reduce((s, side) => s + type.seen[side], 0)).toBeCloseTo(1, 9)
    expect(Object.values(type.parts).reduce((s, p) => s + p.share, 0)).toBeCloseTo(1, 9)
    expect(type.depthM).toBeGreaterThanOrEqual(type.runsM[0])
    expect(type.depthM).toBeLessThanOrEqual(type.runsM[1])
  })
})

describe('a finish that is painted in part', () => {
  it('is told by the parts it has', () => {
    const { traits, families } = buildFinish('jerkbait', 'own', 'own', { belly: parseCoat('black:matte') })
    expect([traits, families]).toEqual([
      { opacity: 'opaque', flash: 'none', tone: 'dark', vivid: false, matte: true },
      ['black'],
    ])
  })
})

describe('coats', () => {
  it.each([
    ['teal', 'unknown-paint'],
    ['white+teal*0.2', 'unknown-paint'],
    ['white:glitter', 'unknown-material'],
    ['white+black*2', 'cover-out-of-range'],
    ['white+black*0', 'cover-out-of-range'],
    ['white+black', 'cover-out-of-range'],
  ])('refuse %s: %s', (text, code) => {
    expect(() => parseCoat(text)).toThrow(expect.objectContaining({ code, coat: text }) as Error)
    expect(() => parseCoat(text)).toThrow(CoatError)
  })
  it('give back no more light than they get', () => {
    const optics = LURE_IDS.flatMap(lure =>
      finishesOf(lure).flatMap(f => f.parts.map(p => ({ id: f.id, o: p.optics }))),
    )
    const greedy = optics.filter(({ o }) => o.reflect.some((r, i) => r + o.transmit[i]! + o.mirror[i]! > 1))
    expect(optics.length).toBeGreaterThan(2000)
    expect(greedy.map(g => g.id)).toEqual([])
  })
  it('draw every prey on every part', () => {
    for (const kind of FORAGE_KINDS)
      for (const part of PARTS as readonly Part[]) expect(preyCoat(kind, part).paint).toBeTruthy()
  })
})
