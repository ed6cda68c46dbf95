import {
  type ArrowFit,
  type Group,
  type GroupTerms,
  type Prior,
  fitArrow,
  linearSum,
} from '#core/season-learning/arrow'

/** Half-hours at a spot: bites, and the exposure in minutes times how good the rigs in hand were. */
export interface HalfHour {
  trip: number
  water: string
  spot: string | null
  low: boolean
  band: string
  phase: string
  bites: number
  exposure: number
}

/** Priors, standard deviations of logarithms. */
const SD = { level: 2, water: 0.4, spot: 0.5, low: 0.5, band: 0.3, phase: 0.4, within: 0.35 } as const
/** Overdispersion of a half-hour's bites: variance μ + κ μ². */
const KAPPA = 0.5
/** What hot days are taken to be before any was seen, worth so many trips. */
export const HOT = { sd: 0.7, trips: 5 } as const
const ROUNDS = 6

export interface PlaceFit {
  fit: ArrowFit
  /** Parameters by "level id": waters, spots, bands and phases, "light low", and "level". */
  at: Map<string, number>
  /** How hot days differ, a standard deviation of the logarithm. */
  hotSd: number
}

export const spotKey = (h: Pick<HalfHour, 'water' | 'spot'>) => `spot ${h.water} ${h.spot}`

/** Parameters of a half-hour beside its trip's own. */
const named = (h: HalfHour): string[] => [
  'level',
  `water ${h.water}`,
  ...(h.spot === null ? [] : [spotKey(h)]),
  ...(h.low ? ['light low'] : []),
  `clarity ${h.band}`,
  `phase ${h.phase}`,
]

const sdOf = (name: string): number => {
  const [level] = name.split(' ')
  return { level: SD.level, water: SD.water, spot: SD.spot, light: SD.low, clarity: SD.band, phase: SD.phase }[level!]!
}

/** Spots and conditions from half-hours, the day an effect of its own: a negative binomial fit, hot days by EM. */
export function fitPlaces(halves: readonly HalfHour[]): PlaceFit {
  const names = [...new Set(halves.flatMap(named))].sort((a, b) =>
    a === 'level' ? -1 : b === 'level' ? 1 : a < b ? -1 : 1,
  )
  const at = new Map(names.map((name, i) => [name, i]))
  const bites = halves.reduce((s, h) => s + h.bites, 0)
  const exposure = halves.reduce((s, h) => s + h.exposure, 0)
  const prior: Prior = {
    mean: Float64Array.from(names, n => (n === 'level' ? Math.log((bites + 0.5) / Math.max(1, exposure)) : 0)),
    precision: Float64Array.from(names, n => sdOf(n) ** -2),
  }
  const trips = new Map<number, HalfHour[]>()
  for (const h of halves) {
    const of = trips.get(h.trip)
    if (of) of.push(h)
    else trips.set(h.trip, [h])
  }
  const groups = [...trips.values()].map(of => groupOf(of, at))
  let hotSd: number = HOT.sd
  let fit = fitArrow(prior, groups)
  for (let round = 0; round < ROUNDS; round++) {
    const squares = fit.own.reduce((s, own, g) => s + own[0]! ** 2 + fit.ownVariance[g]![0]!, 0)
    hotSd = Math.sqrt((HOT.trips * HOT.sd ** 2 + squares) / (HOT.trips + fit.own.length))
    for (const g of groups) g.ownPrecision[0] = hotSd ** -2
    fit = fitArrow(prior, groups, fit)
  }
  return { fit, at, hotSd }
}

/** A trip's half-hours: the day (the first), its spots and its lights have effects of their own. */
function groupOf(halves: readonly HalfHour[], at: Map<string, number>): Group {
  const own = new Map<string, number>([['day', 0]])
  const placeOf = (key: string) => {
    if (!own.has(key)) own.set(key, own.size)
    return own.get(key)!
  }
  const rows = halves.map(h => ({
    bites: h.bites,
    lnExposure: Math.log(Math.max(1e-9, h.exposure)),
    shared: named(h).map(n => at.get(n)!),
    own: [0, placeOf(spotKey(h)), placeOf(`light ${h.low}`)],
  }))
  const r = own.size
  const p = at.size
  return {
    own: r,
    ownPrecision: Float64Array.from({ length: r }, (_, i) => (i === 0 ? HOT.sd : SD.within) ** -2),
    terms(shared, mine, curvature, t: GroupTerms): number {
      let ln = 0
      for (const { bites, lnExposure, shared: s, own: o } of rows) {
        let eta = lnExposure
        for (const i of s) eta += shared[i]!
        for (const i of o) eta += mine[i]!
        const mu = Math.exp(Math.min(30, eta))
        const slope = (bites - mu) / (1 + KAPPA * mu)
        const curve = mu / (1 + KAPPA * mu)
        ln += bites * Math.log(mu / (1 + KAPPA * mu)) - Math.log1p(KAPPA * mu) / KAPPA
        for (const i of s) {
          t.shared[i]! += slope
          for (const j of s) curvature[i * p + j]! += curve
          for (const j of o) t.between[i * r + j]! += curve
        }
        for (const i of o) {
          t.own[i]! += slope
          for (const j of o) t.within[i * r + j]! += curve
        }
      }
      return ln
    },
  }
}

/** A parameter less the mean of its fellows (itself among them), or itself where it has none to be held against. */
export function contrastAmong(
  { fit, at }: PlaceFit,
  name: string,
  fellows: readonly string[],
): { mean: number; sd: number } {
  const row = new Map<number, number>([[at.get(name)!, 1]])
  for (const f of fellows) row.set(at.get(f)!, (row.get(at.get(f)!) ?? 0) - 1 / fellows.length)
  const { mean, variance } = linearSum(fit, row)
  return { mean, sd: Math.sqrt(Math.max(0, variance)) }
}
