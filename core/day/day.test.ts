import { describe, expect, it } from 'vitest'
import { decodeChannel } from '#core/spectrum/colour'
import { dice } from '../../tests/reference/dice'
import { clockOf, dayClock } from './clock'
import { dayAnswer } from './answer'
import { weatherOf } from './forecast'
import { bestPack, lostWithout } from './pack'
import type { DayScores } from './plan'
import { planDay } from './plan'
import type { DayRequest } from './request'
import { dayOf, scoreStep } from './scores'
import { ownFinish } from '#core/box/own'
import { acrossFrom, shadeM } from './shade'
import { type ChangeRules, type Lane, bestSpells } from './spells'
import { dayWater } from './water'

const { even } = dice(15)
const laneOf = (finishes: number, steps: number): Lane => ({
  worth: Array.from({ length: finishes }, () => Array.from({ length: steps }, even)),
  minutes: new Array<number>(steps).fill(30),
})
const every = (n: number) => Array.from({ length: n }, (_, i) => i)

/** The most any plan can earn, by trying every finish at every step. */
function tried({ worth, minutes }: Lane, from: readonly number[], rules: ChangeRules): number {
  const steps = minutes.length
  const go = (t: number, on: number, heldMin: number, value: number): number => {
    const short = heldMin < rules.minSpellMin
    if (t === steps) return short && heldMin < 30 * steps ? -Infinity : value
    return Math.max(
      ...from.map(f => {
        if (t > 0 && f !== on && short) return -Infinity
        const cost = t > 0 && f !== on ? rules.changeCost : 0
        return go(t + 1, f, t > 0 && f === on ? heldMin + 30 : 30, value + worth[f]![t]! - cost)
      }),
    )
  }
  return go(0, -1, 0, 0)
}
const subsets = (n: number) => every(1 << n).map(bits => every(n).filter(i => (bits >> i) & 1))

describe('the spells of a lure', () => {
  it.each([
    [0, 0],
    [0.05, 0],
    [0.4, 0],
    [0.05, 60],
    [0.1, 90],
  ])('are the best there are at a cost of %f and spells of at least %i minutes', (changeCost, minSpellMin) => {
    for (let k = 0; k < 12; k++) {
      const lane = laneOf(3, 7)
      const rules = { changeCost, minSpellMin }
      const { value, spells } = bestSpells(lane, every(3), rules)
      expect(value).toBeCloseTo(tried(lane, every(3), rules), 9)
      const earned = spells.reduce(
        (s, of) => {
          for (let t = of.from; t < of.to; t++) s += lane.worth[of.finish]![t]!
          return s
        },
        -changeCost * (spells.length - 1),
      )
      expect(earned).toBeCloseTo(value, 9)
      expect(spells[0]!.from).toBe(0)
      expect(spells.at(-1)!.to).toBe(7)
      spells.slice(1).forEach((s, i) => {
        expect(s.from).toBe(spells[i]!.to)
        expect(s.finish).not.toBe(spells[i]!.finish)
      })
      for (const s of spells) expect(30 * (s.to - s.from)).toBeGreaterThanOrEqual(minSpellMin)
    }
  })
  it('never earn less when changing costs less, and change only once it is free where all change', () => {
    const lane = laneOf(6, 24)
    const values = [0.8, 0.4, 0.1, 0.02, 0].map(
      changeCost => bestSpells(lane, every(6), { changeCost, minSpellMin: 0 }).value,
    )
    values.slice(1).forEach((v, i) => expect(v).toBeGreaterThanOrEqual(values[i]!))
    expect(bestSpells(lane, every(6), { changeCost: 99, minSpellMin: 0 }).spells).toHaveLength(1)
  })
  it('are one where the day is shorter than the shortest', () => {
    expect(bestSpells(laneOf(3, 2), every(3), { changeCost: 0, minSpellMin: 600 }).spells).toHaveLength(1)
  })
})

describe('what is packed', () => {
  it('is the best set of its size for all lures together', () => {
    const rules = { changeCost: 0.15, minSpellMin: 0 }
    for (let k = 0; k < 10; k++) {
      const lanes = [laneOf(5, 8), laneOf(4, 8)].map(lane => ({ lane, finishes: every(lane.worth.length) }))
      const worth = lanes.map(({ lane }, l) =>
        subsets(l ? 4 : 5).map(set => ({
          size: set.length,
          value: set.length ? bestSpells(lane, set, rules).value : 0,
        })),
      )
      for (const most of [1, 2, 3, 4, 6]) {
        let best = 0
        for (const a of worth[0]!)
          for (const b of worth[1]!) if (a.size + b.size <= most) best = Math.max(best, a.value + b.value)
        const pack = bestPack(lanes, most, rules)
        expect(pack.value).toBeCloseTo(best, 9)
        expect(pack.chosen.flat().length).toBeLessThanOrEqual(most)
      }
    }
  })
  it('tells what is lost without each', () => {
    const lane = laneOf(4, 6)
    const rules = { changeCost: 0, minSpellMin: 0 }
    const lost = lostWithout({ lane }, [1, 3], rules)
    const value = (set: number[]) => bestSpells(lane, set, rules).value
    expect(lost[0]).toBeCloseTo(value([1, 3]) - value([3]), 12)
    expect(lost[1]).toBeCloseTo(value([1, 3]) - value([1]), 12)
  })
})

describe('the shade of a bank', () => {
  const bank = { facingDeg: 90, heightM: 10, acrossM: 40 }
  it.each([
    // A sun behind a bank that looks east stands in the west; 10 m over tan 45° is 10 m, over tan 20° 27.47 m.
    [45, 270, 10],
    [20, 270, 27.47],
    [45, 210, 5],
    [45, 180, 0],
    [45, 90, 0],
    [5, 270, 40],
    [-1, 90, 40],
  ])('with the sun at %f°, bearing %f°, is %f m wide', (sun, bearing, wide) =>
    expect(shadeM(bank, sun, bearing)).toBeCloseTo(wide, 2),
  )
  it('falls from the bank across when the sun has gone round', () => {
    expect(shadeM(acrossFrom(bank), 45, 90)).toBeCloseTo(10, 9)
    expect(shadeM(acrossFrom(bank, 4), 45, 90)).toBeCloseTo(4, 9)
    expect([0, 100, 300].map(facingDeg => acrossFrom({ ...bank, facingDeg }).facingDeg)).toEqual([180, 280, 120])
  })
})

describe('a forecast', () => {
  const at = (hours: DayRequest['hours'], min: number, toMin = 1440) => weatherOf(hours ?? [], 300, toMin)(min)
  it('is interpolated between its hours and held outside, each thing from the hours that tell it', () => {
    const hours = [
      { at: '10:00', cloud: 0.2, visibilityM: 1, rain: false },
      { at: '06:00', temperatureC: 10 },
      { at: '12:00', cloud: 0.8, visibilityM: 4, wind: 'chop', temperatureC: 16 },
    ] as const
    expect(at(hours, 11 * 60).cloud).toBeCloseTo(0.5, 9)
    expect(at(hours, 11 * 60).visibilityM).toBeCloseTo(2, 9)
    expect(at(hours, 9 * 60).temperatureC).toBeCloseTo(13, 9)
    expect(at(hours, 23 * 60)).toMatchObject({ cloud: 0.8, wind: 'chop', temperatureC: 16, sky: 'partly' })
    expect(at(hours, 5 * 60)).toMatchObject({ cloud: 0.2, wind: 'chop', temperatureC: 10 })
  })
  it('of nothing is a middling day, and an hour that speaks of no storm has none', () => {
    expect(at([], 700)).toMatchObject({ cloud: 0.5, rain: false, wind: 'calm', lightning: false, temperatureC: null })
    const hours = [{ at: '13:00' }, { at: '14:00', rain: true, lightning: true }, { at: '15:00' }] as const
    expect([780, 840, 899, 900].map(m => at(hours, m).lightning)).toEqual([false, true, true, false])
    expect(at(hours, 850)).toMatchObject({ sky: 'rain', cloud: 1 })
  })
  it('takes hours before the start for those of the next morning where the day goes past midnight', () => {
    const hours = [
      { at: '22:00', cloud: 0 },
      { at: '02:00', cloud: 1 },
    ] as const
    expect(weatherOf(hours, 20 * 60, 28 * 60)(24 * 60).cloud).toBeCloseTo(0.5, 9)
  })
})

const PLACE = { latitude: 34.9, longitude: -84.3, utcOffsetMin: -240 }
const ASKED: DayRequest = {
  date: '2026-05-10',
  place: PLACE,
  from: '05:30',
  to: '21:30',
  water: { visibilityM: 1.2, tint: 'green', temperatureC: 18 },
  hours: [{ at: '06:00', cloud: 0.3 }, { at: '15:00', lightning: true }, { at: '16:00' }],
  bank: { facingDeg: 80, heightM: 14, acrossM: 120 },
  lures: [
    { lure: 'walking-topwater', place: 'shade' },
    { lure: 'jerkbait', finishIds: ['jerkbait.black'] },
  ],
  stepMin: 60,
  detail: true,
}

describe('the clock of a day', () => {
  it('has the sun of the almanac', () => {
    // NREL's worked example (Reda & Andreas 2008, table A5.1): sunrise 06:12:43, sunset 17:20:19.
    const golden = { latitude: 39.742476, longitude: -105.1786, utcOffsetMin: -420 }
    const { sun, minutesAt } = dayClock({ ...ASKED, date: '2003-10-17', place: golden })
    expect(Math.abs(minutesAt(sun.sunrise!) - 372.7)).toBeLessThan(2)
    expect(Math.abs(minutesAt(sun.sunset!) - 1040.3)).toBeLessThan(2)
  })
  it('is right where there is no night, in the south, and through midnight', () => {
    const { from: _f, to: _t, ...open } = ASKED
    const north = dayClock({ ...open, date: '2026-06-21', place: { latitude: 65, longitude: 25, utcOffsetMin: 180 } })
    expect(north.sun.lastLight).toBeNull()
    expect([north.fromMin, north.toMin]).toEqual([0, 1440])
    const south = dayClock({ ...open, date: '2026-12-21', place: { latitude: -42, longitude: 147, utcOffsetMin: 660 } })
    expect(clockOf(south.minutesAt(south.sun.sunrise!))).toMatch(/^05:[23]/)
    const night = dayClock({ ...ASKED, from: '21:00', to: '03:00', stepMin: 60 })
    expect(night.steps.map(s => clockOf(s.atMin))).toEqual(['21:00', '22:00', '23:00', '00:00', '01:00', '02:00'])
    expect(night.msAt(1500) - night.msAt(0)).toBe(25 * 3_600_000)
  })
})

describe('a plan', () => {
  const day = dayOf(ASKED)
  const scores: DayScores = ASKED.lures.map(lane => day.steps.map(step => scoreStep(ASKED, day, step, lane)))
  const answer = dayAnswer(ASKED, day, scores)
  it('earns in its steps what its spells and changes say', () => {
    const { worth } = planDay(ASKED, day, scores)
    const earned = answer.steps.reduce((s, step) => s + step.lures.reduce((of, l) => of + l.score, 0), 0)
    expect(earned - 0.08 * (answer.spells.length - 2)).toBeCloseTo(worth.all, 6)
    expect(worth.pack).toBeLessThanOrEqual(worth.all + 1e-9)
    expect(worth.oneEach).toBeLessThanOrEqual(worth.all + 1e-9)
  })
  it('earns nothing ashore and warns of it, and keeps to the finishes it is given', () => {
    const ashore = answer.steps.filter(s => s.ashore)
    expect(ashore.map(s => s.at)).toEqual(['15:30'])
    expect(ashore[0]!.lures.map(l => l.score)).toEqual([0, 0])
    expect(answer.cautions.find(c => c.kind === 'lightning')).toMatchObject({ from: '15:30', to: '16:30' })
    // What held before the storm and after it is one caution, not two.
    expect(answer.cautions.filter(c => c.kind === 'nests')).toHaveLength(1)
    for (const { lures } of answer.steps) expect(lures[1]!.finishId).toBe('jerkbait.black')
    expect(Object.keys(answer.steps[0]!.lures[1]!.scores!)).toEqual(['jerkbait.black'])
  })
  it('has an angler’s own finish beside the catalogue’s, which score as they do without it', () => {
    const own = ownFinish({
      id: 'mine',
      lure: 'walking-topwater',
      finishId: 'walking-topwater.bone',
      name: 'Mine',
      coats: { belly: { colour: '#101010', material: 'matte' } },
    })!
    const mine = dayOf(ASKED, [own])
    const step = mine.steps[0]!
    const { [own.id]: its, ...others } = scoreStep(ASKED, mine, step, ASKED.lures[0]!)!.scores
    expect(its).toBeGreaterThan(0)
    expect(others).toEqual(scores[0]![0]!.scores)
    const one = mine.steps.map((_, t) => ({ ...scores[0]![t]!, scores: { [own.id]: 1 } }))
    const plan = planDay(ASKED, mine, [one, scores[1]!])
    expect(plan.pack[0]!.finishId).toBe(own.id)
    // A lane that names what it may use has nothing else.
    expect(plan.lanes[1]!.ids).toEqual(['jerkbait.black'])
  })
  it('ranks a lure fished in the shade apart from one in the open, while there is shade', () => {
    const open = { lure: 'walking-topwater' } as const
    const evening = day.steps.find(s => s.atMin === 18.5 * 60)!
    const noon = day.steps.find(s => s.atMin === 12.5 * 60)!
    const [lit, shaded] = [open, ASKED.lures[0]!].map(lane => scoreStep(ASKED, day, evening, lane))
    expect(shaded!.lux).toBeLessThan(0.7 * lit!.lux)
    expect(noon.shadeM!).toBeLessThan(1.8)
    expect(scoreStep(ASKED, day, noon, ASKED.lures[0]!)).toEqual(scoreStep(ASKED, day, noon, open))
  })
})

describe('the water of a day', () => {
  const stops = [0.05, 0.5, 1.5, 3]
  const water = (over: Partial<DayRequest> = {}) => {
    const r = { ...ASKED, hours: [{ at: '06:00', cloud: 0.2 }], ...over } as DayRequest
    return dayWater(r, dayOf(r), stops)
  }
  it('loses red before green in green water, and all colour by night', () => {
    const noon = water()[7]!
    expect(noon.redM).toBeGreaterThan(0.3)
    expect(noon.greenM).toBeGreaterThan(1.2 * noon.redM)
    const night = water({ date: '2026-05-10', from: '22:00', to: '24:00' })[1]!
    expect([night.redM, night.greenM]).toEqual([0, 0])
  })
  it('stands under one exposure: dawn is darker than noon, and never too bright for white words', () => {
    const luminance = (c: readonly number[]) => {
      const [r, g, b] = c.map(decodeChannel)
      return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!
    }
    const [first, , , , , , , noon] = water().map(m => luminance(m.colours[0]!))
    expect(first!).toBeLessThan(0.5 * noon!)
    for (const m of water()) for (const c of m.colours) expect(1.05 / (luminance(c) + 0.05)).toBeGreaterThan(4.5)
  })
})

describe('a lure outside its window', () => {
  const asked: DayRequest = {
    date: '2026-07-12',
    place: { latitude: 34.9, longitude: -84.3, utcOffsetMin: -240 },
    from: '06:00',
    to: '18:00',
    stepMin: 120,
    water: { visibilityM: 3, tint: 'green', temperatureC: 28, depthM: 4, cover: { kind: 'open' } },
    season: 'summer',
    hours: [{ at: '06:00', cloud: 0, rain: false, wind: 'calm' }],
    lures: [{ lure: 'walking-topwater' }, { lure: 'swimbait' }],
  }
  it('is told with its hours, and which of the rods to fish then', () => {
    const day = dayOf(asked)
    const scores = asked.lures.map(lane => day.steps.map(step => scoreStep(asked, day, step, lane)))
    const { cautions } = dayAnswer(asked, day, scores)
    const [hours, ...others] = cautions.filter(c => c.kind === 'lure')
    expect(others).toEqual([])
    expect([hours!.from > '06:00', hours!.to <= '18:00']).toEqual([true, true])
    expect(hours!.text).toMatch(/^Walking topwater: High sun in the open.* Fish the swimbait rod then\.$/)
  })
})
