import type { NextReading } from '#core/evidence/answer'
import { ERRORS, jarChannels, lostAt, turbidityOf } from '#core/evidence/likelihood'
import { targetReflectance } from '#core/evidence/target'
import { NEGLIGIBLE, type Posterior, tintOdds } from '#core/evidence/whichWater'
import type { ReadingKind } from '#core/water/readingKinds'
import type { UnitSystem } from '#core/units'
import type { TintId } from '#core/water/tints'
import { type Sentence, say } from '#core/words/sentence'

/** A jar as it is usually at hand, m across. */
const USUAL_JAR_M = 0.08
/** A bin this many errors wide holds as much doubt as the error itself: √(2πe). */
const BIN_ERRORS = 4.13
/** What a second reading of a kind tells beside the first: its slips and quirks are often the same. */
const AGAIN = 0.4
/** Tints that a reading parts by less than this ratio it does not tell apart. */
const PARTS = 1.25

interface Candidate {
  kind: ReadingKind
  target?: 'white' | 'black'
  /** Logarithms of what it would read in each water, with the errors of each. */
  reads: { ln: Float64Array; error: number }[]
}

function candidates({ waters }: Posterior): Candidate[] {
  const lost = (target: 'white' | 'black'): Candidate => ({
    kind: 'target',
    target,
    reads: [{ ln: lostAt(waters, target, targetReflectance(target)!), error: ERRORS.target }],
  })
  const [red, green, blue] = jarChannels(waters, USUAL_JAR_M) as [Float64Array, Float64Array, Float64Array]
  const hue = red.map((v, i) => v - blue[i]!)
  const middle = green.map((v, i) => v - (red[i]! + blue[i]!) / 2)
  return [
    { kind: 'disc', reads: [{ ln: waters.lnLost, error: ERRORS.depth }] },
    lost('white'),
    lost('black'),
    {
      kind: 'jar',
      reads: [
        { ln: hue, error: 1.4 * ERRORS.jar },
        { ln: middle, error: 1.2 * ERRORS.jar },
      ],
    },
    { kind: 'turbidity', reads: [{ ln: waters.predict(turbidityOf, 'turbidity'), error: ERRORS.turbidity }] },
  ]
}

/** How much a reading is expected to tell, in nats: the doubt about what it will read, less its own error. */
function worthOf({ odds }: Posterior, { reads }: Candidate): number {
  const bins = new Map<number, number>()
  odds.forEach((p, i) => {
    if (p < NEGLIGIBLE) return
    let bin = 0
    for (const r of reads) bin = 1000 * bin + Math.round(r.ln[i]! / (BIN_ERRORS * r.error))
    bins.set(bin, (bins.get(bin) ?? 0) + p)
  })
  return [...bins.values()].reduce((s, p) => s - p * Math.log(p), 0)
}

/** What it would read, on the whole, in the waters of a tint. */
function meanIn({ waters, odds }: Posterior, ln: Float64Array, tint: TintId): number {
  let [sum, weight] = [0, 0]
  odds.forEach((p, i) => {
    if (waters.tint[i] !== tint) return
    sum += p * ln[i]!
    weight += p
  })
  return Math.exp(sum / Math.max(1e-300, weight))
}

function whyOf(posterior: Posterior, c: Candidate, worth: number): Sentence {
  const leaves = Math.exp(-worth)
  const [first, second] = tintOdds(posterior)
  const tints: [TintId, TintId] = [first!.tint, second!.tint]
  const [a, b] = tints.map(t => meanIn(posterior, c.reads[0]!.ln, t)) as [number, number]
  const parts = Math.max(a / b, b / a) > PARTS && second!.odds > 0.02
  if (c.kind === 'jar')
    return { code: parts ? 'reading.next-jar' : 'reading.next-any', params: { tints, kind: c.kind, leaves } }
  if (!parts || c.kind === 'turbidity') return { code: 'reading.next-any', params: { tints, kind: c.kind, leaves } }
  return { code: 'reading.next-depth', params: { target: c.target ?? 'disc', tints, depthsM: [a, b] } }
}

/** The reading that would tell most, and why. */
export function nextReading(posterior: Posterior, units: UnitSystem): NextReading {
  const { evidence } = posterior
  const worth = (c: Candidate) => worthOf(posterior, c) * (evidence.some(e => e.kind === c.kind) ? AGAIN : 1)
  const best = candidates(posterior)
    .map(c => ({ c, worth: worth(c) }))
    .reduce((a, b) => (b.worth > a.worth ? b : a))
  const { kind, target } = best.c
  return {
    kind,
    ...(target ? { target } : {}),
    why: say(whyOf(posterior, best.c, best.worth), units),
  }
}
