import { finishById } from '#core/lure/finish'
import { paintReflectance } from '#core/paintwork/paints'
import { BANDS, type Spectrum } from '#core/spectrum/grid'

const PLAIN: Readonly<Record<string, Spectrum>> = {
  white: paintReflectance('white'),
  black: paintReflectance('black'),
}
/** Parts that a lure hung from its line turns up to who looks down; the others stand in where it has none. */
const UPPER = ['back', 'flank', 'skirt', 'blade', 'belly']

/**
 * Reflectance of what was let down, as it is seen from above: plain white or black, or the upper side of a finish with
 * what shines through and what it mirrors counted as thrown back. Null for an id that is in no catalogue.
 */
export function targetReflectance(target: string): Spectrum | null {
  const plain = PLAIN[target]
  if (plain) return plain
  const finish = finishById(target)
  if (!finish) return null
  const part = UPPER.map(name => finish.parts.find(p => p.part === name)).find(Boolean) ?? finish.parts[0]!
  const { reflect, transmit, mirror } = part.optics
  return Float64Array.from({ length: BANDS }, (_, i) =>
    Math.min(1, reflect[i]! + THROUGH * transmit[i]! + THROUGH * mirror[i]!),
  )
}

/** Share of what passes a body, or is mirrored by it, that comes back up to the eye from a curved side. Ours. */
const THROUGH = 0.3
