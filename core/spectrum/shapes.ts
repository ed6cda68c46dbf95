import { type Spectrum, spectrumOf, valueAt } from '#core/spectrum/grid'

/**
 * Reflectance shapes from few parameters. Pigments and dyes are well described by
 * sigmoid edges (yellow, orange, red) and Gaussian bands (green, blue, violet).
 */
export type Shape =
  /** The same reflectance in every band. */
  | { kind: 'flat'; level: number }
  /** A sigmoid rise from `low` to `high` with its middle at `edgeNm`; negative `widthNm` falls instead. */
  | { kind: 'edge'; low: number; high: number; edgeNm: number; widthNm: number }
  /** Gaussian bands on a floor; a negative height cuts a notch. */
  | { kind: 'bands'; floor: number; bands: readonly { centreNm: number; widthNm: number; height: number }[] }
  /** Sum of shapes. */
  | { kind: 'sum'; of: readonly Shape[] }
  /** A spectrum known band by band. */
  | { kind: 'spectrum'; of: Spectrum }

const gaussian = (x: number, centre: number, sigma: number) => Math.exp(-0.5 * ((x - centre) / sigma) ** 2)

/** Evaluate a shape at one wavelength (nm); not yet clamped to 0-1. */
export function shapeAt(shape: Shape, nm: number): number {
  switch (shape.kind) {
    case 'flat':
      return shape.level
    case 'edge':
      return shape.low + (shape.high - shape.low) / (1 + Math.exp(-(nm - shape.edgeNm) / shape.widthNm))
    case 'bands':
      return shape.bands.reduce((r, b) => r + b.height * gaussian(nm, b.centreNm, b.widthNm), shape.floor)
    case 'sum':
      return shape.of.reduce((r, s) => r + shapeAt(s, nm), 0)
    case 'spectrum':
      return valueAt(shape.of, nm)
  }
}

/** A reflectance on the grid, kept between 0.005 (no real surface is blacker) and 0.97. */
export function reflectance(shape: Shape): Spectrum {
  return spectrumOf(nm => Math.min(0.97, Math.max(0.005, shapeAt(shape, nm))))
}
