import { describe, expect, it } from 'vitest'
import { luresHere } from '#core/which-lure/answer'
import { firstReading, luresRequestOf, requestOf, topOf } from '~/reading/reading'
import { placeOf, rodsFrom } from './dayRods'
import { DRAWN, pathOf, rowsOf, scaleOf, spoken } from './rows'
import { useWhichLure } from './useWhichLure'
import { effectScope, nextTick, ref } from 'vue'

const reading = { ...firstReading(), cover: 'grass', waterM: 2 } as const
const request = luresRequestOf(reading, 'us')
const { here } = luresHere(request)

describe('rows of lures', () => {
  it('are the best, what is owned before what is not, from the top of the water down', () => {
    const rows = rowsOf(here, new Set(), false)
    expect(rows).toHaveLength(DRAWN)
    expect(rows.map(r => r.depthM)).toEqual([...rows.map(r => r.depthM)].sort((a, b) => a - b))
    const last = here.at(-1)!
    expect(rows).not.toContain(last)
    expect(rowsOf(here, new Set([last.lure]), false)).toContain(last)
    expect(rowsOf(here, new Set(), true)).toHaveLength(here.length)
  })
  it('are drawn on one scale that holds them, and can be read aloud', () => {
    for (const h of here) expect(h.seen.sightM).toBeLessThan(scaleOf(here))
    expect(spoken(here[0]!, { length: m => `${m.toFixed(1)} m` }, 'Lure')).toMatch(
      /^Lure, .*seen from .*comes through: /,
    )
  })
  it('know which path is that of today', () => {
    expect([pathOf('ledge'), pathOf('pads'), pathOf('open'), pathOf(null)]).toEqual(['rock', 'grass', null, null])
  })
})

describe('rods for a day', () => {
  it('are the best of its hours, each once, and what is owned first; on top in the shade', () => {
    const noon = luresHere({ ...request, light: { sky: 'clear', sunElevationDeg: 70 } })
    const rods = rodsFrom([luresHere(request), noon], new Set())
    expect([rods.length, new Set(rods).size]).toEqual([4, 4])
    expect(rods.slice(0, 2).sort()).toEqual(
      here
        .slice(0, 2)
        .map(h => h.lure)
        .sort(),
    )
    expect(rodsFrom([noon], new Set([noon.here.at(-1)!.lure]))[0]).toBe(noon.here.at(-1)!.lure)
    expect([placeOf('popper', true), placeOf('popper', false), placeOf('worm', true)]).toEqual([
      'shade',
      'open',
      'open',
    ])
  })
})

describe('the question', () => {
  it('is the reading without its lure; without cover nothing of it is asked', () => {
    expect(request).not.toHaveProperty('lure')
    expect(request.water.cover).toEqual({ kind: 'grass', density: 'scattered' })
    expect(requestOf({ ...reading, cover: null }, 'us').water).not.toHaveProperty('cover')
    expect([topOf(reading), topOf({ ...reading, cover: null })]).toEqual([1, null])
  })
  it('is asked anew when it changes; only the newest answer counts, and a failure is told', async () => {
    const asked = ref(request)
    const works: ((v: unknown) => void)[] = []
    const fails: ((e: Error) => void)[] = []
    const scope = effectScope()
    const work = () =>
      new Promise((resolve, reject) => {
        works.push(resolve)
        fails.push(reject)
      })
    const client = () => ({ api: { here: work, lines: work }, end: () => {} }) as never
    const { answer, lines, working } = scope.run(() => useWhichLure(() => asked.value, client))!
    asked.value = { ...request, units: 'metric' }
    await nextTick()
    works[0]!('old')
    works[1]!('new')
    await new Promise(r => setTimeout(r))
    expect([answer.value, working.value]).toEqual(['new', true])
    works.at(-1)!(['line'])
    await new Promise(r => setTimeout(r))
    expect([lines.value, working.value]).toEqual([['line'], false])
    scope.stop()
  })
})
