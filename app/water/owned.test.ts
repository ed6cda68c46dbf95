import { describe, expect, it } from 'vitest'
import { knownFinish, ownFinish } from '#core/box/own'
import { finishesOf, nameSaid } from '#core/lure/finish'
import { type ScreenAsk, type ScreenModel, workScreen } from './model'

const ASK: ScreenAsk = {
  request: {
    lure: 'jerkbait',
    water: { visibilityM: 2, tint: 'green', temperatureC: 14 },
    light: { sky: 'partly', sunElevationDeg: 40 },
  },
  depthsM: [0.5],
  side: 'level',
  watcher: 'diver',
  selectedId: null,
  stripM: [0.5],
  draftRows: null,
}
const screen = (over: Partial<ScreenAsk>) => workScreen({ ...ASK, ...over }) as ScreenModel
const listed = (s: ScreenModel) => s.rows.flatMap(r => [r.finishId, ...r.same]).sort()
const all = screen({})
const first = all.rows[0]!.finishId
const few = ['jerkbait.bone', 'jerkbait.black', 'jerkbait.white', 'jerkbait.perch']

describe('what is in the box', () => {
  it('alone is listed and rigged where that is asked, its places its own', () => {
    const mine = screen({ owned: few, onlyOwned: true })
    expect(listed(mine)).toEqual([...few].sort())
    expect(mine.rows[0]!.place).toBe(1)
    for (const rod of mine.answer.rotation) expect(few).toContain(rod.finishId)
    for (const dressed of mine.answer.dressUps) expect(few).toContain(dressed.finishId)
  })
  it('of two lures lists two, and the whole catalogue rigs the three rods', () => {
    const mine = screen({ owned: few.slice(0, 2), onlyOwned: true })
    expect(listed(mine)).toHaveLength(2)
    expect(mine.answer.rotation).toEqual(all.answer.rotation)
  })
  it('of another lure leaves the list whole', () => {
    expect(listed(screen({ owned: [], onlyOwned: true }))).toHaveLength(finishesOf('jerkbait').length)
  })
  it('says what comes nearest to a first pick that is not in it, and nothing where it is', () => {
    const { nearest } = screen({ owned: few })
    expect(few).toContain(nearest!.finishId)
    expect(nearest!.steps).toBeGreaterThan(0)
    expect(screen({ owned: [...few, first] }).nearest).toBeNull()
    expect(all.nearest).toBeNull()
  })
  it('in colours of one’s own is ranked with the catalogue’s, whose ranks and scores it does not move', () => {
    const flank = { colour: '#ffffff', material: 'matte' } as const
    const own = [
      { id: 'mine', lure: 'jerkbait', finishId: 'jerkbait.white', name: 'Mine', coats: { flank } },
      { id: 'other', lure: 'spinnerbait', finishId: 'spinnerbait.all-black', name: 'Other', coats: { skirt: flank } },
    ] as const
    const mine = ownFinish(own[0])!
    const both = screen({ own, selectedId: mine.id })
    expect(listed(both)).toEqual([...listed(all), mine.id].sort())
    expect(both.call.finish).toMatchObject({ id: mine.id, name: 'Mine' })
    expect(knownFinish(both.selectedId)).toBe(mine)
    const order = (s: ScreenModel) => s.answer.rotation.map(r => r.finishId)
    expect(screen({ own: own.slice(1) }).rows).toEqual(all.rows)
    expect(screen({ own, selectedId: first }).call.score).toBe(screen({ selectedId: first }).call.score)
    expect(order(both).every(id => knownFinish(id))).toBe(true)
    const alone = screen({ own, owned: [mine.id, ...few.slice(0, 2)], onlyOwned: true })
    expect(listed(alone)).toEqual([mine.id, ...few.slice(0, 2)].sort())
  })
  it('keeps the letters of a name that was given it, quoted in a sentence', () => {
    const coats = { flank: { colour: '#e8ecec', material: 'matte' as const } }
    const lure = { id: '018f0000-0000-4000-8000-00000000000a', lure: 'jerkbait' as const, finishId: few[0]! }
    const named = [{ ...lure, name: 'Uncle Ed’s', coats }]
    const mine = screen({ own: named, owned: [ownFinish(named[0]!)!.id, ...few.slice(1, 2)], onlyOwned: true })
    const { closeCall, disagreements, turning } = mine.answer
    const said = [closeCall, ...disagreements, turning].flatMap(s => s?.text ?? []).join(' ')
    expect(said).not.toMatch(/uncle Ed/)
    expect(nameSaid(ownFinish(named[0]!)!)).toBe('“Uncle Ed’s”')
    expect(nameSaid(finishesOf('jerkbait')[0]!)).toBe(finishesOf('jerkbait')[0]!.name)
  })
})
