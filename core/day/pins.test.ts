import { describe, expect, it } from 'vitest'
import { dice } from '../../tests/reference/dice'
import { type Pin, heldWorth, withPin } from './pins'
import { type DayScores, planDay } from './plan'
import type { DayRequest } from './request'
import type { Day, StepScores } from './scores'

const IDS = ['jerkbait.bone', 'jerkbait.black', 'jerkbait.white']
const steps = Array.from({ length: 16 }, (_, i) => ({ atMin: 300 + 30 * i, endMin: 330 + 30 * i }))
const REQUEST = {
  lures: [{ lure: 'jerkbait', finishIds: IDS }],
  changeCost: 0.02,
  minSpellMin: 60,
  packMost: 3,
} as unknown as DayRequest
const { even } = dice(3)
/** A day on which each third of the hours favours another finish. */
const scores = [
  steps.map((_, t) => {
    const told = IDS.map((id, i) => [id, (Math.floor(t / 5.5) === i ? 0.6 : 0.4) + 0.05 * even()])
    return { scores: Object.fromEntries(told) } as StepScores
  }),
] as DayScores
const plan = (pins: readonly Pin[] = []) => planDay(REQUEST, { steps } as unknown as Day, scores, pins)
const said = (p: ReturnType<typeof plan>) =>
  p.packed[0]!.spells.map(s => `${IDS[s.finish]} ${steps[s.from]!.atMin}-${steps[s.to - 1]!.endMin}`)
const PIN: Pin = { lane: 0, fromMin: 300, atMin: 390, toMin: 630, before: IDS[0]!, after: IDS[1]! }

describe('a change held by hand', () => {
  it('stands at its hour, the rest of the day as good as it can be beside it', () => {
    expect(said(plan())).toEqual([`${IDS[0]} 300-480`, `${IDS[1]} 480-630`, `${IDS[2]} 630-780`])
    const held = plan([PIN])
    expect(said(held)).toEqual([`${IDS[0]} 300-390`, `${IDS[1]} 390-630`, `${IDS[2]} 630-780`])
  })
  it('costs what it costs, and nothing more, beside what the day could be worth', () => {
    const [free, held] = [plan(), plan([PIN])]
    expect(held.worth.all).toBe(free.worth.all)
    const lost = [3, 4, 5].reduce(
      (s, t) => s + (scores[0]![t]!.scores[IDS[0]!]! - scores[0]![t]!.scores[IDS[1]!]!) / 2,
      0,
    )
    expect(free.worth.pack - held.worth.pack).toBeCloseTo(lost, 9)
    expect(held.pack.every(p => p.lost >= 0 && p.lost < 2)).toBe(true)
  })
  it('binds no other lane, and none that has not its finishes', () => {
    expect(said(plan([{ ...PIN, lane: 1 }]))).toEqual(said(plan()))
    expect(said(plan([{ ...PIN, after: 'jerkbait.gone' }]))).toEqual(said(plan()))
    const lane = { worth: [[1, 2]], minutes: [30, 30] }
    expect(heldWorth(lane, IDS, steps.slice(0, 2), [])).toBe(lane.worth)
  })
  it('is broken where there is no way to keep it, and the day is still planned', () => {
    const short = { ...PIN, fromMin: 300, atMin: 330, toMin: 360 }
    const [first] = plan([short]).packed[0]!.spells
    expect((first!.to - first!.from) * 30).toBeGreaterThanOrEqual(60)
  })
  it('takes its finishes along where little may be packed, and a rod that gets none is no fault', () => {
    const two = { ...REQUEST, lures: [REQUEST.lures[0]!, REQUEST.lures[0]!], packMost: 2 }
    const both = [scores[0]!, scores[0]!] as DayScores
    const { packed, pack } = planDay(two, { steps } as unknown as Day, both, [PIN])
    expect(pack.map(p => `${p.laneIndex} ${p.finishId}`).sort()).toEqual([`0 ${IDS[1]}`, `0 ${IDS[0]}`])
    expect([packed[0]!.spells.length, packed[1]]).toEqual([2, null])
  })
  it('is moved, and cuts short what it reaches into', () => {
    const next: Pin = { lane: 0, fromMin: 390, atMin: 600, toMin: 780, before: IDS[1]!, after: IDS[2]! }
    expect(withPin([PIN], next, 630)).toEqual([{ ...PIN, toMin: 600 }, next])
    const moved = { ...PIN, atMin: 450, toMin: 600 }
    expect(withPin([PIN, next], moved, 390)).toEqual([{ ...next, fromMin: 450 }, moved])
    const before = { ...PIN, toMin: 600 }
    expect(withPin([next], before, 0)).toEqual([next, before])
    // One that leaves nothing of what was held before it takes its place.
    expect(withPin([PIN], { ...next, fromMin: 300 }, 630)).toEqual([{ ...next, fromMin: 300 }])
    expect(withPin([{ ...PIN, lane: 1 }], next, 630)).toHaveLength(2)
  })
})
