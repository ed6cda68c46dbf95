import { finishIds } from '#core/lure/finish'
import { type ValueOf, group, list, number, oneKindOf, pattern, required, word } from '#core/request/field'
import { TINTS, type TintId } from '#core/water/tints'

const depth = required(number([0, 60], ' m', { name: 'The depth it was read at', about: 'metres' }))
const colour = (name: string) =>
  required(
    pattern('^#[0-9a-fA-F]{6}$', { name, about: 'as #rrggbb', otherwise: 'must be written as # and six hex digits.' }),
  )
const lit = (name: string) => number([0, 1e6], '', { name, about: 'relative' })
/** Targets let down: plain white or black, or a finish of the catalogue. */
const targets = () => ['white', 'black', ...finishIds()]

/** Kinds of reading that tell which water it is: each is optional evidence. */
export const READINGS = list(
  oneKindOf(
    {
      'disc': group({ depthM: depth }, { name: 'A disc reading' }),
      'target': group(
        {
          target: required(
            word(targets(), { name: 'The target', about: 'white, black or the id of a finish', open: true }),
          ),
          depthM: depth,
        },
        { name: 'A lowered lure' },
      ),
      'seen-to': group(
        { what: required(word(['motor', 'boots'], { name: 'What was seen' })), depthM: depth },
        { name: 'A thing last seen' },
      ),
      'turbidity': group(
        { fnu: required(number([0, 4000], ' FNU', { name: 'Turbidity', about: 'formazin units, ISO 7027' })) },
        { name: 'A turbidity' },
      ),
      'light': group(
        {
          samples: required(
            list(
              group(
                {
                  depthM: depth,
                  lux: required(number([1e-6, 2e5], ' lux', { name: 'The light' })),
                  red: lit('Red light'),
                  green: lit('Green light'),
                  blue: lit('Blue light'),
                },
                { name: 'A sample of light' },
              ),
              40,
              { name: 'The samples of light', least: 2 },
              'depthM',
            ),
          ),
        },
        { name: 'A light meter let down' },
      ),
      'jar': group(
        {
          water: colour('The colour of the water'),
          paper: colour('The colour of the paper'),
          pathM: required(number([0.01, 2], ' m', { name: "The jar's breadth", about: "the light's path, metres" })),
        },
        { name: 'A jar' },
      ),
      'look': group(
        { tint: required(word(Object.keys(TINTS) as TintId[], { name: 'The tint it looked like' })) },
        { name: 'A look at it' },
      ),
    },
    { name: 'A reading' },
  ),
  12,
  { name: 'The readings', about: '1 to 12 readings of the water, any mixture', least: 1 },
)

export type Reading = ValueOf<typeof READINGS>[number]
