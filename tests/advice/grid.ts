import { LURE_IDS, type LureId, lureType } from '#core/lure/types'
import type { Request } from '#core/request/request'
import { TINTS, type TintId } from '#core/water/tints'
import { dice } from '../reference/dice'

const CLARITY = [0.12, 0.22, 0.35, 0.48, 0.55, 0.7, 0.95, 1.2, 1.7, 1.95, 2.2, 3, 4.5, 8]
const LIGHTS: readonly Request['light'][] = [
  { sky: 'clear', sunElevationDeg: 55 },
  { sky: 'clear', sunElevationDeg: 50, wind: 'chop' },
  { sky: 'partly', sunElevationDeg: 35, wind: 'ripple' },
  { sky: 'overcast', sunElevationDeg: 40 },
  { sky: 'rain', sunElevationDeg: 25, wind: 'strong' },
  { sky: 'clear', sunElevationDeg: 2 },
  { sky: 'partly', sunElevationDeg: -4 },
  { sky: 'clear', sunElevationDeg: -30, moon: 0.8 },
  { sky: 'clear', sunElevationDeg: -30, lamps: true },
  { sky: 'clear', sunElevationDeg: 60, canopy: 'mat' },
  { sky: 'clear', sunElevationDeg: 45, canopy: 'trees-or-dock' },
]
const FRESH = ['largemouth-bass', 'smallmouth-bass', 'spotted-bass'] as const
const SALT = ['red-drum', 'seatrout', 'snook', 'striped-bass'] as const
const BACKGROUNDS = ['open', 'open', 'green-weed', 'wood', 'sand', 'rock', 'dark-mud'] as const
const CLUES = ['red-throats', 'sunfish-popping', 'bait-flicker', 'birds', 'fry', 'frogs'] as const
const LISTS = [undefined, ['shad', 'sunfish', 'crawfish'], ['sunfish', 'frog', 'crawfish', 'golden-shiner']] as const

/** Requests drawn evenly over what the contract admits, with the same draw for the same seed; lures in turn. */
export function requests(count: number, seed: number, lures: readonly LureId[] = LURE_IDS): Request[] {
  const { even } = dice(seed)
  const one = <T>(list: readonly T[]): T => list[Math.floor(even() * list.length)]!
  return Array.from({ length: count }, (_, i): Request => {
    const lure = lures[i % lures.length]!
    const { salt, surface, bottom } = lureType(lure)
    const coast = salt || ((surface || lure === 'swimbait') && even() < 0.2)
    const list = coast ? undefined : one(LISTS)
    return {
      lure,
      species: lure === 'crappie-jig' ? 'crappie' : one<NonNullable<Request['species']>>(coast ? SALT : FRESH),
      water: {
        visibilityM: one(CLARITY),
        tint: one(Object.keys(TINTS) as TintId[]),
        temperatureC: 4 + 26 * even(),
        trend: one(['rising', 'steady', 'falling']),
        salinity: coast ? one(['salt', 'brackish']) : 'fresh',
        pressure: one(['low', 'normal', 'high']),
        ...(list ? { prey: [...list] } : {}),
      },
      light: one(LIGHTS),
      background: bottom ? one(BACKGROUNDS) : one(['open', 'open', 'green-weed']),
      ...(even() < 0.2 ? { clues: [one(CLUES)] } : {}),
      ...(even() < 0.15 ? { fishedThrough: ['white'] as const satisfies Request['fishedThrough'] } : {}),
      ...(even() < 0.15 ? { bitesRefused: true } : {}),
      ...(even() < 0.5 ? { units: 'us' as const } : {}),
      limit: 60,
    } as Request
  })
}
