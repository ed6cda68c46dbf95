import type { SkyShape } from '#core/sky/shapes'
import type { Source } from './solver'
import type { Phase } from './phase'

/**
 * Where the light table has its grid points. Albedo points crowd towards 1, depth points towards the surface, which
 * is where the light changes fastest; beams are the refracted sun from overhead to the horizon's 48°.
 */
export const TABLE_PHASES: readonly Phase[] = [
  { g: 0.96, rayleigh: 0 },
  { g: 0.924, rayleigh: 0 },
  // Water's own molecules are what lifts the backscatter of the clearest water.
  { g: 0.924, rayleigh: 0.06 },
  { g: 0.924, rayleigh: 0.2 },
  { g: 0.924, rayleigh: 0.5 },
]
export const TABLE_OMEGA = [
  0, 0.15, 0.3, 0.42, 0.53, 0.62, 0.7, 0.77, 0.83, 0.88, 0.92, 0.95, 0.97, 0.98, 0.99, 0.995,
] as const
export const TABLE_TAU = [
  0, 0.05, 0.1, 0.2, 0.35, 0.5, 0.75, 1, 1.5, 2, 3, 4, 5, 6.5, 8, 10, 13, 16, 20, 25, 32, 40, 55, 75, 100,
] as const
export const TABLE_BEAM_DEG = [0, 4, 8, 12.5, 18, 24, 30, 36, 42, 48.3] as const
export const TABLE_DIFFUSE = ['even', 'overcast', 'clear', 'bed'] as const satisfies (SkyShape | 'even' | 'bed')[]

/** Sources in the order of the table: the beams, then what comes from all over. */
export const TABLE_SOURCES: readonly Source[] = [
  ...TABLE_BEAM_DEG.map(deg => ({ kind: 'beam' as const, mu: Math.cos((deg * Math.PI) / 180) })),
  ...TABLE_DIFFUSE.map(kind => ({ kind })),
]
