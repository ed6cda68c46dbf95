import { describe, expect, it } from 'vitest'
import { plainScale } from './plainScale'

describe('a scale that is the same for every angler', () => {
  it('shows so many of its unit to one inside, and reads them back', () => {
    const percent = plainScale('%', 0, 100)
    expect(percent).toMatchObject({ of: 'number', unit: '%', decimals: 0, step: 1 })
    expect([percent.show(0.35), percent.read(35)]).toEqual([35, 0.35])
  })
  it('is one to one where it is not said, in steps of its last place', () => {
    const fnu = plainScale('FNU', 1)
    expect([fnu.show(7.5), fnu.read(7.5)]).toEqual([7.5, 7.5])
    expect(fnu.step).toBeCloseTo(0.1)
  })
})
