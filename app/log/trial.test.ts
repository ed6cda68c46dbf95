import { describe, expect, it } from 'vitest'
import { trialOrder } from '#core/trial/order'
import { SETTLES, trialVerdict } from '#core/trial/verdict'
import type { Spoil, TapKind, TripRecord } from '#shared/schema/record'
import { dice } from '../../tests/reference/dice'
import { TAP_OF as tap, TRIP_OF as trip } from '../../tests/reference/log'
import { blocksOf, spellOf, trialOf } from './trial'
import type { Tap } from './trip'

describe('a fair test', () => {
  const test = {
    castsPerSpell: 2,
    blocks: 3,
    seed: 5,
    leaveOut: ['broken', 'moved'] as Spoil[],
    differs: 'finish' as const,
  }
  const body = trip({ trial: test })
  const casts = (n: number) => Array.from({ length: n }, () => tap(1, 'cast'))
  it('fills its spells in the order drawn, a bite belonging to the cast before it', () => {
    const taps = [...casts(2), tap(1, 'landed'), ...casts(1), tap(1, 'bite'), tap(1, 'miss'), tap(1, 'follow')]
    const { spells, now } = trialOf(body, taps)
    expect(spells.map(s => s.side)).toEqual(trialOrder(3, 5).map(s => s.side))
    expect(spells.slice(0, 3).map(s => [s.casts, s.bites])).toEqual([
      [2, 1],
      [1, 1],
      [0, 0],
    ])
    expect(now).toBe(1)
    expect(trialOf(body, casts(2)).now).toBe(1)
    expect(trialOf(body, casts(12)).now).toBeNull()
  })
  it('is looked at after whole pairs only, those with a broken spell left out by the rule', () => {
    const broken = [...casts(3), tap(1, 'broken'), ...casts(7)]
    const of = (b: TripRecord, taps: Tap[]) => blocksOf(b, trialOf(b, taps).spells)
    expect(of(body, casts(3))).toEqual([])
    expect(of(body, casts(11))).toHaveLength(2)
    expect(of(body, broken)).toHaveLength(1)
    expect(of({ ...body, trial: { ...test, leaveOut: [] } }, broken)).toHaveLength(2)
    const first = trialOrder(3, 5)[0]!.side
    const [block] = of(body, [...casts(1), tap(1, 'bite'), ...casts(3)])
    expect(block![first]).toEqual({ casts: 2, bites: 1 })
    expect(block![first === 'a' ? 'b' : 'a']).toEqual({ casts: 2, bites: 0 })
  })

  it('is spoilt by another spot or sky inside a pair, said or seen, and not between pairs', () => {
    const sky = (to: 'clear' | 'overcast') => tap(1, 'conditions', { asked: { ...body.asked, light: { sky: to } } })
    const spot = tap(1, 'spot', { spotId: null })
    const spoils = (taps: Tap[]) =>
      trialOf(body, taps)
        .spells.slice(0, 3)
        .map(s => s.spoils)
    expect(spoils([...casts(1), spot, sky('clear')])).toEqual([['moved'], [], []])
    expect(spoils([...casts(2), sky('overcast'), sky('overcast'), ...casts(1)])).toEqual([[], ['sky'], []])
    expect(spoils([spot, ...casts(4), spot, sky('overcast'), ...casts(1)])).toEqual([[], [], []])
    expect(spoils([tap(1, 'broken', { spoil: 'sky' }), tap(1, 'broken'), ...casts(1)])).toEqual([
      ['sky', 'broken'],
      [],
      [],
    ])
    const seen = [...casts(1), sky('overcast'), ...casts(3)]
    expect(blocksOf(body, trialOf(body, seen).spells)).toHaveLength(1)
    const strict = { ...body, trial: { ...test, leaveOut: ['sky'] as Spoil[] } }
    expect(blocksOf(strict, trialOf(strict, seen).spells)).toHaveLength(0)
  })
  it('asks for the change once a turn is over, and counts on without it', () => {
    expect(trialOf(body, casts(1)).swap).toBe(false)
    expect(trialOf(body, casts(2)).swap).toBe(true)
    expect(trialOf(body, [...casts(2), tap(2, 'rod', { rod: 1, drawn: true })]).swap).toBe(false)
    expect(trialOf(body, casts(3)).swap).toBe(false)
    expect(trialOf(body, casts(12)).swap).toBe(false)
  })
})

describe('a fair test of two anglers', () => {
  const body = trip({
    crew: ['Ann', 'Bo'],
    trial: { castsPerSpell: 2, blocks: 2, seed: 5, leaveOut: ['broken', 'moved'], differs: 'finish' },
  })
  const by = (who: number, ...whats: TapKind[]) => whats.map(what => tap(1, what, { who }))
  const of = (taps: Tap[]) => blocksOf(body, trialOf(body, taps).spells)
  const turn = [...by(0, 'cast', 'cast'), ...by(1, 'cast', 'cast')]
  it('has both fish at once, each waiting at the number for the other', () => {
    const test = trialOf(body, by(0, 'cast', 'cast', 'cast'))
    expect(spellOf(test, 0)).toMatchObject({ turn: 0, casts: 2 })
    expect(spellOf(test, 1)).toMatchObject({ turn: 0, casts: 0 })
    expect(spellOf(test, 0)!.side).not.toBe(spellOf(test, 1)!.side)
    const on = trialOf(body, [...turn, ...by(1, 'bite', 'cast')])
    expect([on.now, on.turns]).toEqual([1, 4])
    // A bite before the next cast is of the turn before.
    expect(on.spells.filter(s => s.turn === 0).map(s => s.bites)).toEqual([0, 1])
    expect(spellOf(on, 0)!.side).toBe(spellOf(test, 1)!.side)
  })
  it('counts a block once both have fished both, and drops both pairs where one half was spoilt', () => {
    expect(of(turn)).toEqual([])
    const [block] = of([...by(0, 'cast', 'bite'), ...by(0, 'cast'), ...by(1, 'cast', 'cast', 'miss'), ...turn])
    const side = spellOf(trialOf(body, []), 0)!.side
    expect(block![side]).toEqual({ casts: 4, bites: 1 })
    expect(block![side === 'a' ? 'b' : 'a']).toEqual({ casts: 4, bites: 1 })
    expect(of([...turn, ...by(1, 'cast', 'broken', 'cast'), ...by(0, 'cast', 'cast')])).toEqual([])
    const moved = [...by(0, 'cast'), tap(1, 'spot', { spotId: null }), ...by(0, 'cast'), ...by(1, 'cast', 'cast')]
    expect(of([...moved, ...turn, ...turn, ...turn])).toHaveLength(1)
  })
  it('calls at most one of twenty tests of equals, looked at after every swap, in bursts, anglers unlike', () => {
    const { even } = dice(21)
    const called = Array.from({ length: 200 }, (_, n) => {
      const drawn: TripRecord = { ...body, trial: { ...body.trial!, castsPerSpell: 6, blocks: 12, seed: n } }
      const taps: Tap[] = []
      let burst = 1
      for (let t = 0; t < 24; t++) {
        burst = even() < 0.25 ? 6 : 1
        for (const who of [0, 1])
          for (let c = 0; c < 6; c++)
            taps.push(...by(who, 'cast', ...(even() < (who ? 0.12 : 0.05) * burst ? (['bite'] as const) : [])))
      }
      const blocks = blocksOf(drawn, trialOf(drawn, taps).spells)
      return blocks.some((_, i) => {
        const { verdict, evidence } = trialVerdict(blocks.slice(0, i + 1))
        return evidence >= SETTLES || verdict === 'a' || verdict === 'b'
      })
    })
    expect(called.filter(Boolean).length / 200).toBeLessThan(0.05)
  }, 60_000)
})
