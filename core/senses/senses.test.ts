import { describe, expect, it } from 'vitest'
import { MANNER } from '#core/lure/manner'
import { feltRange, isBroken } from './feel'
import { cutOffHz, heardRange, lostToBed } from './hearing'

const shake = { radiusM: [0.02, 0.02], amplitudeM: [0.01, 0.01], frequencyHz: [8, 8] } as const

describe('feel', () => {
  it('is a (2π f A / u)^(1/3): worked by hand for 2 cm that beats 1 cm eight times a second', () => {
    const { lowM, highM } = feltRange(shake, false)
    // U = 2π · 8 · 0.01 = 0.503 m/s; (0.503 / 4e-4)^(1/3) = 10.79; (0.503 / 4e-5)^(1/3) = 23.25.
    expect(lowM).toBeCloseTo(0.2159, 3)
    expect(highM).toBeCloseTo(0.465, 3)
  })
  it('ends at two lengths of the fish, and is about half in broken water', () => {
    const wild = { ...shake, amplitudeM: [0.1, 0.1] } as const
    expect(feltRange({ ...wild, radiusM: [0.05, 0.05] }, false).highM).toBe(0.8)
    expect(feltRange(wild, false, 0.1).highM).toBe(0.2)
    const [still, broken] = [feltRange(shake, false), feltRange(shake, true)]
    expect(broken.lowM / still.lowM).toBeCloseTo((0.4 / 2) ** (1 / 3), 6)
    expect([isBroken('ripple', false), isBroken('chop', false), isBroken('calm', true)]).toEqual([false, true, true])
  })
  it('puts lures in the order in which they shake water', () => {
    const high = (id: keyof typeof MANNER) => feltRange(MANNER[id].shake, false).highM
    const order = ['stick-worm', 'swim-jig', 'walking-frog', 'shallow-crankbait', 'spinnerbait', 'buzzbait'] as const
    order.reduce((quieter, louder) => (expect(high(louder), louder).toBeGreaterThan(high(quieter)), louder))
  })
})

describe('hearing', () => {
  it('has a cut-off that shallow water raises, below which sound is lost to the bed', () => {
    expect(cutOffHz(1)).toBeCloseTo(592, 0)
    expect(cutOffHz(4)).toBeCloseTo(148, 0)
    // 8.686 · π/2 · sqrt(1 - (300/592)²) = 11.76 dB/m in a metre of water; nothing in four.
    expect(lostToBed(1, 300)).toBeCloseTo(11.76, 1)
    expect(lostToBed(4, 300)).toBe(0)
  })
  it('reaches about as far as the model says, farther for drum and in deeper water, less in noise', () => {
    const high = (...ask: Parameters<typeof heardRange>) => heardRange(...ask)!.highM
    expect(high('knock', 'largemouth-bass', 1, 'calm')).toBeGreaterThan(1)
    expect(high('knock', 'largemouth-bass', 1, 'calm')).toBeLessThan(2)
    expect(high('knock', 'largemouth-bass', 4, 'calm')).toBeCloseTo(10 ** (25 / 20), 1)
    expect(high('knock', 'red-drum', 4, 'calm')).toBeGreaterThan(2 * high('knock', 'largemouth-bass', 4, 'calm'))
    expect(high('knock', 'largemouth-bass', 4, 'strong')).toBeLessThan(high('knock', 'largemouth-bass', 4, 'calm'))
    expect(high('rattle', 'largemouth-bass', 4, 'calm')).toBeLessThan(high('knock', 'largemouth-bass', 4, 'calm'))
  })
  it('has nothing to say of what makes no sound', () => {
    expect([heardRange('silent', 'snook', 2, 'calm'), heardRange('thump', 'snook', 2, 'calm')]).toEqual([null, null])
  })
  it('puts what is heard within its own band, whatever the water', () => {
    for (const waterM of [0.3, 0.8, 2, 6, null]) {
      for (const wind of ['calm', 'ripple', 'chop', 'strong'] as const) {
        const { lowM, highM } = heardRange('pop', 'seatrout', waterM, wind)!
        expect(lowM).toBeLessThanOrEqual(highM)
      }
    }
  })
})
