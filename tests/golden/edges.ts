import { type Custom, type When, holds } from '#core/rules/custom'
import { CUSTOMS } from '#core/rules/customs/all'
import { luresOf } from '#core/rules/fitness'
import type { Moment } from '#core/schools/school'

type Range = readonly [number, number]
const RANGES = ['visibilityM', 'temperatureC', 'depthM', 'sunDeg', 'sunny', 'dim', 'night', 'windy'] as const
type Ranged = (typeof RANGES)[number]

/** Well inside a range, where nothing fades. */
const midOf = ([lo, hi]: Range) => (lo > 0 && hi / lo > 4 ? lo * 1.6 : (lo + hi) / 2)

/** A moment made to a custom's own wishes, with one reading of it or one food's share set. */
function homeOf(
  { when }: Custom,
  lure: Custom['id'] | string,
  set: Partial<Record<Ranged, number>>,
  share = 0.9,
): Moment {
  const at = (key: Ranged, other: number) => set[key] ?? (when[key] ? midOf(when[key]) : other)
  const prey = Object.keys(when.prey ?? {}) as (keyof NonNullable<When['prey']>)[]
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
      lamps: when.lamps ?? false,
      bitesRefused: when.refused ?? false,
      fishedThrough: when.fishedThrough ? ['white'] : [],
      visibilityM: at('visibilityM', 1),
      temperatureC: at('temperatureC', 18),
      depthM: at('depthM', 1),
      sunElevationDeg: at('sunDeg', 40),
      prey: { shares: prey.slice(0, 1).map(kind => ({ kind, share })) },
    },
    grades: { sunny: at('sunny', 0.5), dim: at('dim', 0), night: at('night', 0), windy: at('windy', 0) },
  } as unknown as Moment
}

/** Points about an edge, near and farther off. */
const about = (edge: number) =>
  [-0.22, -0.12, -0.02, 0.02, 0.12, 0.22].map(k => edge + k * Math.max(0.1, Math.abs(edge)))

const said = (k: number) => k.toFixed(3).replace(/\.?0+$/, '')

/** How strongly each custom speaks about every edge of what it asks for, all else being as it likes it. */
export function edgesOf(): Record<string, string> {
  return Object.fromEntries(
    CUSTOMS.map(custom => {
      const { when, strength } = custom
      const lure = luresOf(custom)[0]!
      const speaks = (moment: Moment) => said(strength * holds(when, moment))
      const parts = RANGES.flatMap(key => {
        const range = when[key]
        if (!range) return []
        const points = range.flatMap(about).map(v => speaks(homeOf(custom, lure, { [key]: v })))
        return [`${key} ${points.join(' ')}`]
      })
      const least = Object.values(when.prey ?? {})[0]
      if (least) {
        const shares = [least - 0.01, least + 0.01, 0.5, 0.7, 1]
        parts.push(`prey ${shares.map(s => speaks(homeOf(custom, lure, {}, s))).join(' ')}`)
      }
      return [custom.id, [speaks(homeOf(custom, lure, {})), ...parts].join(' | ')]
    }),
  )
}
