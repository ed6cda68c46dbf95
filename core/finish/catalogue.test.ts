import { describe, expect, it } from 'vitest'
import { parseCoat } from '#core/finish/coat'
import { FAMILIES } from '#core/finish/families'
import { finishById, finishesOf } from '#core/finish/finish'
import { FORAGE_KINDS, preyCoat } from '#core/finish/forage'
import { LURE_IDS, SIDES, lureType } from '#core/finish/lures'
import { PARTS, type Part } from '#core/finish/parts'

describe.each(LURE_IDS)('the catalogue of %s', (lure) => {
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

describe('coats', () => {
  it('refuse words they do not know', () => {
    expect(() => parseCoat('teal')).toThrow(/unknown paint/)
    expect(() => parseCoat('white:glitter')).toThrow(/unknown material/)
    expect(() => parseCoat('white+black*2')).toThrow(/cover/)
  })
  it('keep their books: no coat gives back more light than it gets', () => {
    for (const lure of LURE_IDS) {
      for (const f of finishesOf(lure)) {
        for (const { optics: o } of f.parts) o.reflect.forEach((r, i) => expect(r + o.transmit[i]! + o.mirror[i]!).toBeLessThanOrEqual(1))
      }
    }
  })
  it('draw every prey on every part', () => {
    for (const kind of FORAGE_KINDS) for (const part of PARTS as readonly Part[]) expect(preyCoat(kind, part).paint).toBeTruthy()
  })
})
