import { expect, it } from 'vitest'
import { LURES, LURE_IDS } from '#core/lure/types'
import { LURE_SHORT } from './options'

/** Known by its bill everywhere; its full name does not fit under its figure on a phone. */
const BY_ITS_BILL = 'shallow-crankbait'

it('calls a lure by words of its own name, shortened at most, but for the one known by its bill', () => {
  for (const id of LURE_IDS.filter(l => l !== BY_ITS_BILL)) {
    const own = LURES[id].words.split(' ')
    const strange = LURE_SHORT[id]
      .toLowerCase()
      .split(' ')
      .filter(word => !own.some(o => o.startsWith(word)))
    expect(strange, id).toEqual([])
  }
})
