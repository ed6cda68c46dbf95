import { describe, expect, it } from 'vitest'
import { LURE_IDS, type LureId } from '#core/lure/types'
import { rackOf, takenOut } from './rack'

describe('the rack', () => {
  it('begins with the usual lures, and always has the one that is fished', () => {
    expect(rackOf([], 'jerkbait', 3)).toEqual(['shallow-crankbait', 'deep-crankbait', 'jerkbait'])
    expect(rackOf([], 'tube', 2)).toEqual(['shallow-crankbait', 'tube'])
    expect(rackOf(['tube', 'gone' as LureId], 'tube', 2)).toEqual(['tube', 'shallow-crankbait'])
  })
  it('has what was taken out first, unless it hangs there already, and forgets what is long ago', () => {
    expect(takenOut(['tube', 'grub'], 'tube', 6)).toEqual(['tube', 'grub'])
    expect(takenOut(['tube', 'grub'], 'grub', 1)).toEqual(['grub', 'tube'])
    const many = LURE_IDS.slice(0, 12)
    expect(takenOut(many, LURE_IDS[14]!, 6)).toEqual([LURE_IDS[14], ...many.slice(0, 11)])
  })
})
