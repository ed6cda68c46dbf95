import type { LureId } from '#core/lure/types'
import { nearest } from '#core/numeric/nearest'
import { type Candidate, candidateOf } from '#core/which-lure/answer'
import { fishedHere, shutOut } from '#core/which-lure/occasions'
import { LURE_PAIRS, knockOf, middleOf, pairOf } from '#core/which-lure/pairs'
import type { LuresRequest } from '#core/which-lure/request'
import { foundBy, plainWorth, worthOf } from '#core/which-lure/worth'
import type { PairSide } from '#core/words/pairs'
import { type Said, said } from '#core/words/sentence'

/** One place on the line of a pair: what would decide there. */
export interface PairStep {
  /** What is different there, in a word. */
  name: string
  wins: 'a' | 'b' | 'either' | 'neither'
  why: Said
}
/** A pair along the condition that turns it: who wins at each step, and where today stands; null off the line. */
export interface PairLine {
  a: PairSide
  b: PairSide
  steps: PairStep[]
  now: number | null
}

interface Axis {
  steps: readonly { name: string; of: (r: LuresRequest) => LuresRequest }[]
  /** The step nearest to the request; null where it is on none. */
  now: (r: LuresRequest) => number | null
}
const inWater = (r: LuresRequest, patch: Partial<LuresRequest['water']>): LuresRequest => ({
  ...r,
  water: { ...r.water, ...patch },
})

const DENSER = ['open', 'sparse', 'scattered', 'thick'] as const
/** From open water to thick grass. */
const GRASS: Axis = {
  steps: DENSER.map(density => ({
    name: density === 'open' ? 'open water' : `${density} grass`,
    of: r => inWater(r, { cover: density === 'open' ? { kind: 'open' } : { kind: 'grass', density } }),
  })),
  now: ({ water: { cover } }) => {
    if (!cover || cover.kind === 'open') return 0
    return cover.kind === 'grass' ? DENSER.indexOf(cover.density ?? 'scattered') : null
  },
}
const WINDS = ['calm', 'ripple', 'chop'] as const
/** From calm to a chop. */
const WIND: Axis = {
  steps: WINDS.map(wind => ({ name: wind, of: r => ({ ...r, light: { ...r.light, wind } }) })),
  now: ({ light: { wind = 'calm' } }) => (wind === 'strong' ? null : WINDS.indexOf(wind)),
}
const HARDER = ['grass', 'open', 'wood', 'rock'] as const
/** From grass to wood and rock. */
const HARD: Axis = {
  steps: HARDER.map(kind => ({
    name: kind === 'open' ? 'open water' : kind,
    of: r => inWater(r, { cover: { kind } }),
  })),
  now: ({ water: { cover } }) => {
    const at = HARDER.findIndex(kind => kind === (cover?.kind ?? 'open'))
    return at < 0 ? null : at
  },
}
const TEMPERATURES_C = [6, 10, 14, 18, 22, 26] as const
/** From cold to warm. */
const WARMTH: Axis = {
  steps: TEMPERATURES_C.map(temperatureC => ({
    name: temperatureC === 6 ? 'cold' : temperatureC === 26 ? 'warm' : '',
    of: ({ season: _, ...r }) => inWater(r, { temperatureC }),
  })),
  now: ({ water: { temperatureC } }) =>
    temperatureC === undefined ? null : TEMPERATURES_C.indexOf(nearest(TEMPERATURES_C, temperatureC, t => t)!),
}
const CLARITIES_M = [0.15, 0.35, 0.7, 1.4, 2.8, 5] as const
/** From mud to gin. */
const CLARITY: Axis = {
  steps: CLARITIES_M.map(visibilityM => ({
    name: visibilityM === 0.15 ? 'mud' : visibilityM === 5 ? 'gin' : '',
    of: r => inWater(r, { visibilityM }),
  })),
  now: ({ water: { visibilityM } }) => CLARITIES_M.indexOf(nearest(CLARITIES_M, visibilityM, v => v)!),
}

/** The condition along which each pair turns, in the order of the pairs. */
const AXES: readonly Axis[] = [GRASS, WIND, HARD, WARMTH]

/**
 * Where the pairs turn: each judged again along its own condition, all else as it is. The lures show there as far as
 * they show now: how far they are seen changes little along these lines, and is not worked out anew.
 */
export function pairLinesOf(request: LuresRequest): PairLine[] {
  const units = request.units ?? 'metric'
  const fresh = (request.water.salinity ?? 'fresh') === 'fresh'
  const lines: PairLine[] = []
  const known = new Map<LureId, Candidate>()
  const candidate = (lure: LureId) => {
    let found = known.get(lure)
    if (!found) known.set(lure, (found = candidateOf(fishedHere(request, lure))))
    return found
  }
  if (fresh) {
    const middle = middleOf(LURE_PAIRS.flat().map(lure => candidate(lure).plain))
    LURE_PAIRS.forEach((pair, i) => {
      const { steps, now } = AXES[i]!
      const judged = steps.map(({ name, of }): PairStep => {
        const there = of(request)
        const { wins, says } = pairOf(pair, lure => {
          const { occasion } = fishedHere(there, lure)
          const out = shutOut(occasion)
          if (out) return { out }
          const { sightM, colourM } = candidate(lure).plain.found
          return { worth: worthOf(plainWorth(occasion, foundBy(occasion, sightM, colourM)), middle) }
        })
        return { name, wins, why: said(says, units) }
      })
      lines.push({ a: pair[0], b: pair[1], steps: judged, now: now(request) })
    })
  }
  const knocks = CLARITY.steps.map(({ name, of }): PairStep => {
    const { wins, says } = knockOf(fishedHere(of(request), fresh ? 'lipless-crankbait' : 'inshore-twitchbait').occasion)
    return { name, wins, why: said(says, units) }
  })
  lines.push({ a: 'knocking', b: 'silent', steps: knocks, now: CLARITY.now(request) })
  return lines
}
