import { expect, it } from 'vitest'
import { LURES, LURE_IDS } from '#core/lure/types'
import { LURE_SHORT } from './options'

it('calls a lure by words of its own name, shortened at most: one thing has one name', () => {
  for (const id of LURE_IDS) {
    const own = LURES[id].words.split(' ')
    const strange = LURE_SHORT[id]
      .toLowerCase()
      .split(' ')
      .filter(word => !own.some(o => o.startsWith(word)))
    expect(strange, id).toEqual([])
  }
})
