/**
 * The sun above the atmosphere (W/m² per µm) and the absorption of ozone (per cm of ozone), at the wavelengths of the
 * source. Source: Bird & Riordan 1986, J. Climate Appl. Meteorol. 25, table 1 (after Fröhlich and Wehrli; Leckner).
 */
export const SUN_NM = [
  400, 410, 420, 430, 440, 450, 460, 470, 480, 490, 500, 510, 520, 530, 540, 550, 570, 593, 610, 630, 656, 667.6, 690,
  710,
] as const
export const SUN_ENERGY = [
  1479.1, 1701.3, 1740.4, 1587.2, 1837, 2005, 2043, 1987, 2027, 1896, 1909, 1927, 1831, 1891, 1898, 1892, 1840, 1768,
  1728, 1658, 1524, 1531, 1420, 1399,
] as const
export const OZONE_PER_CM = [
  0, 0, 0, 0, 0, 0.003, 0.006, 0.009, 0.014, 0.021, 0.03, 0.04, 0.048, 0.063, 0.075, 0.085, 0.12, 0.119, 0.12, 0.09,
  0.065, 0.051, 0.028, 0.018,
] as const
