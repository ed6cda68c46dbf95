/**
 * Absorption of pure water, per metre, 400-700 nm in 10 nm steps.
 * Source: Pope & Fry 1997, Applied Optics 36, table 3.
 */
export const PURE_WATER_ABSORPTION = [
  0.00663, 0.00473, 0.00454, 0.00495, 0.00635, 0.00922, 0.00979, 0.0106, 0.0127, 0.015, 0.0204, 0.0325, 0.0409, 0.0434,
  0.0474, 0.0565, 0.0619, 0.0695, 0.0896, 0.1351, 0.2224, 0.2644, 0.2755, 0.2916, 0.3108, 0.34, 0.41, 0.439, 0.465,
  0.516, 0.624,
] as const

/**
 * Shape of phytoplankton absorption, 1 at 440 nm, 400-700 nm in 10 nm steps.
 * Source: Bricaud et al. 1995, JGR 100, table 2 (A at 10 nm, read to two figures, divided by A(440) = 0.0403);
 * good to about 10 % of the value.
 */
export const ALGAE_ABSORPTION_SHAPE = [
  0.65, 0.74, 0.81, 0.92, 1.0, 0.92, 0.87, 0.81, 0.71, 0.68, 0.57, 0.45, 0.35, 0.29, 0.24, 0.21, 0.18, 0.17, 0.18, 0.18,
  0.17, 0.19, 0.21, 0.21, 0.22, 0.25, 0.34, 0.47, 0.44, 0.19, 0.065,
] as const
