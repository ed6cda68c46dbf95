/**
 * Where the light table has its grid points. Albedo points crowd towards 1, depth points towards the surface,
 * which is where the light changes fastest; beams are cosines of the refracted sun (sun at 87°, 68°, 52°, 35° and 9°).
 */
export const TABLE_G = [0.924, 0.96] as const
export const TABLE_OMEGA = [
  0, 0.15, 0.3, 0.42, 0.53, 0.62, 0.7, 0.77, 0.83, 0.88, 0.92, 0.95, 0.97, 0.98, 0.99, 0.995,
] as const
export const TABLE_TAU = [
  0, 0.05, 0.1, 0.2, 0.35, 0.5, 0.75, 1, 1.5, 2, 3, 4, 5, 6.5, 8, 10, 13, 16, 20, 25, 32, 40, 55, 75, 100,
] as const
export const TABLE_BEAM_MU = [0.999, 0.96, 0.89, 0.79, 0.675] as const
