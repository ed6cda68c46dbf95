import { SPECIES } from '#core/eye/species'
import { knownFinish } from '#core/box/own'
import { LURES } from '#core/lure/types'
import { CLUES } from '#core/prey/odds'
import type { UnitSystem } from '#core/units'
import { lengthWords } from '#core/words/quantities'
import type { Rod, TapRecord } from '#shared/schema/record'
import { SPOIL_OPTIONS, cap } from '~/words/options'
import { conditionsWords } from './carried'

const rigWords = ({ lure, finishId, line, size }: Rod) =>
  [LURES[lure].words, knownFinish(finishId)?.name ?? finishId, line, size].filter(Boolean).join(', ')

/** What a tap says, in words; a spot by the name it is called by. */
export function tapWords(
  t: TapRecord,
  units: UnitSystem,
  spotName: (id: string) => string | undefined,
  name = '',
): string {
  const whose = name ? `, ${name}` : `, rod ${t.rod + 1}`
  switch (t.what) {
    case 'clue':
      return cap(CLUES[t.clue!].words)
    case 'word':
      return t.text!
    case 'rig':
      return `Rod ${t.rod + 1}: ${rigWords(t.rig!)}`
    case 'rod':
      return `To rod ${t.rod + 1}`
    case 'depth':
      return `Running at ${lengthWords(t.depthM!, units)}`
    case 'spot':
      return t.spotId ? `To ${spotName(t.spotId) ?? 'another spot'}` : 'To open water'
    case 'conditions':
      return cap(conditionsWords(t.asked!, units))
    case 'broken':
      return `Spell spoilt: ${SPOIL_OPTIONS.find(o => o.value === (t.spoil ?? 'broken'))!.words.toLowerCase()}`
    case 'pause':
      return 'Paused'
    case 'resume':
      return 'Fishing again'
    case 'landed': {
      const fish = [
        t.species ? SPECIES[t.species].words : '',
        t.lengthM === undefined ? '' : lengthWords(t.lengthM, units),
        t.kept ? 'kept' : '',
      ]
      return [`Landed${whose}`, ...fish.filter(Boolean)].join(', ')
    }
    default:
      return `${cap(t.what)}${whose}`
  }
}
