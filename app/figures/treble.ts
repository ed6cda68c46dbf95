import type { Layer } from './types'

type Treble = Layer & { kind: 'treble' }
type Point = readonly [x: number, y: number]

/** A treble hook, its eye at the origin: pairs of coordinates alone, so that it can be turned. */
const SHAPE =
  'M0 5L0 17M0 17C0 26 -11 27 -11.5 17L-11.5 14.5L-8.6 17.5' +
  'M0 17C0 26 11 27 11.5 17L11.5 14.5L8.6 17.5M0 17C1 22 4 24 4.5 18.5'
const EYE = { at: [0, 2.4], r: 2.2 } as const
const LINE = 1.9

/**
 * A treble hook in its place, turned and sized: drawn where it is, since a shape under a transform of its own is set
 * apart in every frame.
 */
export function trebleAt({ x, y, rot, s }: Treble) {
  const rad = (rot * Math.PI) / 180
  const [cos, sin] = [s * Math.cos(rad), s * Math.sin(rad)]
  const placed = ([px, py]: Point): Point => [
    Number((x + px * cos - py * sin).toFixed(2)),
    Number((y + px * sin + py * cos).toFixed(2)),
  ]
  const [cx, cy] = placed(EYE.at)
  return {
    d: SHAPE.replace(/(-?[\d.]+) (-?[\d.]+)/g, (_, px: string, py: string) =>
      placed([Number(px), Number(py)]).join(' '),
    ),
    eye: { cx, cy, r: Number((EYE.r * s).toFixed(2)) },
    line: Number((LINE * s).toFixed(2)),
  }
}
