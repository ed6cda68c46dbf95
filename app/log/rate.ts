import quantile from '@stdlib/stats-base-dists-gamma-quantile'

/** Bites an hour: middle, and eight times in ten between. */
export interface HourRate {
  best: number
  low: number
  high: number
}

/** Jeffreys' prior of a rate: worth half a bite and no time. */
const PRIOR = 0.5

/** What so many bites in so much time say of a rate by the hour (gamma posterior of a Poisson rate). */
export function rateOf(bites: number, minutes: number): HourRate {
  const hours = Math.max(1 / 60, minutes / 60)
  const at = (p: number) => quantile(p, bites + PRIOR, hours)
  return { low: at(0.1), best: at(0.5), high: at(0.9) }
}
