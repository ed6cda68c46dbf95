const RAYS = 16

/** Rays round a sun at the origin, from one distance from it to another, as one path. */
export const sunRays = (from: number, to: number): string =>
  Array.from({ length: RAYS }, (_, i) => {
    const rad = (2 * Math.PI * i) / RAYS
    const [x, y] = [Math.cos(rad), Math.sin(rad)]
    return `M${[from * x, from * y].map(v => v.toFixed(2)).join(' ')}L${[to * x, to * y].map(v => v.toFixed(2)).join(' ')}`
  }).join('')
