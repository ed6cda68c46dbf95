const RAYS = 16

/** Rays round a sun at the origin, from one distance from it to another, as one path. */
export const sunRays = (from: number, to: number): string =>
  Array.from({ length: RAYS }, (_, i) => {
    const rad = (2 * Math.PI * i) / RAYS
    const at = (far: number) => `${(far * Math.cos(rad)).toFixed(2)} ${(far * Math.sin(rad)).toFixed(2)}`
    return `M${at(from)}L${at(to)}`
  }).join('')
