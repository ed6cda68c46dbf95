import { describe, expect, it } from 'vitest'
import { hillAt, hillPath } from './hill'

const pointsOf = (path: string) =>
  path
    .slice(1)
    .split('L')
    .map(p => p.split(' ').map(Number) as [number, number])
/** Area between the path and its foot. */
const areaOf = (points: [number, number][], foot: number) =>
  points.slice(1).reduce((s, [x, y], i) => s + (x - points[i]![0]) * (foot - (y + points[i]![1]) / 2), 0)
const around = (times: number, sd: number) => ({
  times,
  low: times * Math.exp(-1.28 * sd),
  high: times * Math.exp(1.28 * sd),
})

describe('a hill of what may be true', () => {
  it('has its top over the likeliest, by doublings', () => {
    const points = pointsOf(hillPath(around(2, 0.2), 20))
    const [x] = points.reduce((a, b) => (b[1] < a[1] ? b : a))
    expect(x).toBeCloseTo(hillAt(2), 1)
    expect([1 / 3, 1, Math.sqrt(3), 99].map(hillAt).map(Math.round)).toEqual([0, 50, 75, 100])
  })
  it('is as much lower as it is wider', () => {
    const area = (sd: number) => areaOf(pointsOf(hillPath(around(1, sd), 20)), 20)
    expect(area(0.6) / area(0.2)).toBeCloseTo(1, 1)
  })
})
