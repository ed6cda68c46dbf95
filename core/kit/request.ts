import { finishIds } from '#core/lure/finish'
import { type ValueOf, group, list, number, required, whole, word } from '#core/request/field'
import { REQUEST } from '#core/request/request'

const { limit: _, ...asked } = REQUEST.fields
const ids = finishIds()
const finishes = (name: string, about: string) => list(word(ids, { name, open: true }), ids.length, { name, about })

/** A scene of a kit: a request for a ranking without its limit, and how much it counts. */
export const SCENE = group(
  { ...asked, weight: number([0, 1e6], '', { name: 'The weight', about: 'how much the scene counts; 1 when absent' }) },
  { name: 'A scene' },
)

/** What is asked of a kit. */
export const KIT_REQUEST = group(
  {
    scenes: required(list(SCENE, 2000, { name: 'The scenes', least: 1 })),
    owned: finishes('The box', 'finishes by id; the whole catalogue of the lures in the scenes when absent'),
    sizes: list(whole([1, 40], { name: 'The sizes' }), 2, {
      name: 'The sizes',
      about: 'smallest and largest kit; 1 to 12 when absent',
      least: 2,
    }),
    keep: finishes('What is kept', 'in every kit'),
    drop: finishes('What is left out', 'in no kit'),
  },
  { name: 'The request' },
)
export type KitRequest = ValueOf<typeof KIT_REQUEST>
