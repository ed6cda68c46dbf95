import { LURE_IDS } from '#core/lure/types'
import { type ValueOf, group, list, word } from '#core/request/field'
import { REQUEST } from '#core/request/request'

const { water, light, species, school, season, forage, clues, background, units } = REQUEST.fields

/** Which lure here? The request for a recommendation without its lure and its depth. */
export const LURES_REQUEST = group(
  {
    water,
    light,
    species,
    school,
    season,
    forage,
    clues,
    background,
    units,
    lures: list(word(LURE_IDS, { name: 'The lures' }), LURE_IDS.length, {
      name: 'The lures',
      about: 'all that belong to this water when absent',
      least: 1,
    }),
  },
  { name: 'The request' },
)
export type LuresRequest = ValueOf<typeof LURES_REQUEST>
