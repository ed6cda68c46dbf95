import { type Custom, holds } from '#core/rules/custom'
import { CUSTOMS } from '#core/rules/customs/all'
import { luresOf } from '#core/rules/fitness'
import type { LureId } from '#core/lure/types'
import type { Forage } from '#core/prey/forage'
import type { Moment } from '#core/schools/school'

type Range = readonly [number, number]
const RANGES = ['visibilityM', 'temperatureC', 'depthM', 'sunDeg', 'sunny', 'dim', 'night', 'windy'] as const
type Ranged = (typeof RANGES)[number]

/** Well inside a range, where nothing fades. */
const midOf = ([lo, hi]: Range) => (lo > 0 && hi / lo > 4 ? lo * 1.6 : (lo + hi) / 2)

const TOGGLES = ['lamps', 'refused', 'fishedThrough'] as const
type Set = Partial<Record<Ranged, number> & Record<(typeof TOGGLES)[number], boolean>>

/** A moment made to a custom's own wishes, with one reading of it, one yes or no, or one food's share set. */
function homeOf({ when }: Custom, lure: LureId, set: Set, food?: { kind: Forage; share: number }): Moment {
  const at = (key: Ranged, other: number) => set[key] ?? (when[key] ? midOf(when[key]) : other)
  const is = (key: (typeof TOGGLES)[number]) => set[key] ?? when[key] ?? false
  const eaten = (Object.keys(when.prey ?? {}) as Forage[]).filter(kind => kind !== food?.kind).slice(0, 1)
  return {
    conditions: {
      lure,
      species: when.species?.[0] ?? 'largemouth-bass',
      phases: { [when.phases?.[0] ?? 'summer']: 1 },
      tint: when.tints?.[0] ?? 'green',
      sky: when.skies?.[0] ?? 'clear',
      canopy: when.canopies?.[0] ?? 'open',
      salinity: when.salinities?.[0] ?? 'fresh',
      pressure: when.pressures?.[0] ?? 'normal',
      tide: when.tides?.[0] ?? null,
      background: when.backgrounds?.[0] === 'weed' ? 'green-weed' : (when.backgrounds?.[0] ?? 'open'),
      lamps: is('lamps'),
      bitesRefused: is('refused'),
      fishedThrough: is('fishedThrough') ? ['white'] : [],
      visibilityM: at('visibilityM', 1),
      temperatureC: at('temperatureC', 18),
      depthM: at('depthM', 1),
      sunElevationDeg: at('sunDeg', 40),
      prey: {
        shares:
          food && when.prey?.[food.kind]
            ? [food]
            : [...eaten.map(kind => ({ kind, share: 0.9 })), ...(food ? [food] : [])],
      },
    },
    grades: { sunny: at('sunny', 0.5), dim: at('dim', 0), night: at('night', 0), windy: at('windy', 0) },
  } as unknown as Moment
}

/** Where each reading is looked at: at the same places whatever is asked for, or an edge that moved would be met. */
const even = (from: number, step: number) => Array.from({ length: 24 }, (_, i) => from + step * i)
const PLACES: Readonly<Record<Ranged, readonly number[]>> = {
  visibilityM: Array.from({ length: 32 }, (_, i) => 0.04 * 1.2 ** i),
  temperatureC: even(0.5, 1.75),
  depthM: even(0.05, 0.3),
  sunDeg: even(-15, 3.5),
  sunny: even(0.01, 0.042),
  dim: even(0.01, 0.042),
  night: even(0.01, 0.042),
  windy: even(0.01, 0.042),
}
const SHARES = even(0.02, 0.042)

const said = (k: number) => k.toFixed(3).replace(/\.?0+$/, '')

/** Of which lures each custom speaks, and how strongly through every range it asks for, else being as it likes it. */
export function edgesOf(): Record<string, string> {
  return Object.fromEntries(
    CUSTOMS.map(custom => {
      const { when, strength } = custom
      const lures = luresOf(custom)
      const speaks = (...set: [set: Set, food?: { kind: Forage; share: number }]) =>
        said(strength * holds(when, homeOf(custom, lures[0]!, ...set)))
      const foods = Object.keys({ ...when.prey, ...when.notPrey }) as Forage[]
      const parts = [
        ...RANGES.filter(key => when[key]).map(key => [key, ...PLACES[key].map(v => speaks({ [key]: v }))]),
        ...TOGGLES.filter(key => key in when).map(key => [key, speaks({ [key]: false }), speaks({ [key]: true })]),
        ...foods.map(kind => [kind, ...SHARES.map(share => speaks({}, { kind, share }))]),
      ]
      return [custom.id, [`${speaks({})} of ${lures.join(' ')}`, ...parts.map(part => part.join(' '))].join(' | ')]
    }),
  )
}
