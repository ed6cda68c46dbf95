import { describe, expect, it } from 'vitest'
import { CLUES, type Clue, preyOdds, shareOf } from '#core/prey/odds'
import { PHASES } from '#core/season/phase'

describe('prey odds', () => {
  const base = { species: 'largemouth-bass', phases: { prespawn: 1 }, salinity: 'fresh', clues: [] } as const
  it('sum to one, most likely first', () => {
    const { shares } = preyOdds(base)
    expect(shares.reduce((s, p) => s + p.share, 0)).toBeCloseTo(1, 9)
    expect([...shares].sort((a, b) => b.share - a.share)).toEqual(shares)
  })
  it('never lower a kind by a clue that speaks for it', () => {
    for (const phase of PHASES) {
      for (const clue of Object.keys(CLUES) as Clue[]) {
        const strongest = Object.entries(CLUES[clue].pull).sort((a, b) => b[1] - a[1])[0]![0] as 'shad'
        const without = preyOdds({ ...base, phases: { [phase]: 1 } })
        const withClue = preyOdds({ ...base, phases: { [phase]: 1 }, clues: [clue] })
        expect(shareOf(withClue.shares, strongest)).toBeGreaterThanOrEqual(shareOf(without.shares, strongest))
      }
    }
  })
  it('know no shad in a lake without them, and let evidence beat the calendar', () => {
    const pond = { ...base, listed: ['sunfish', 'frog', 'crawfish'] as const }
    expect(shareOf(preyOdds(pond).shares, 'shad')).toBe(0)
    expect(preyOdds({ ...pond, clues: ['frogs'] }).shares[0]!.kind).toBe('frog')
    expect(preyOdds({ ...pond, clues: ['frogs'] }).moved[0]).toMatchObject({ clue: 'frogs', kind: 'frog' })
  })
  it('leave out what lives in some waters only until it is listed, given or seen', () => {
    expect(shareOf(preyOdds(base).shares, 'goby')).toBe(0)
    expect(shareOf(preyOdds({ ...base, listed: ['goby', 'crawfish'] }).shares, 'goby')).toBeGreaterThan(0)
  })
  it('take the angler at his word', () => {
    expect(preyOdds({ ...base, given: [{ kind: 'shad', share: 1 }] }).shares).toEqual([{ kind: 'shad', share: 1 }])
  })
})
