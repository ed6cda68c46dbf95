import { MANNER } from '#core/lure/manner'
import type { LureId } from '#core/lure/types'
import type { Passage } from '#core/lure/passage'
import { medianOf } from '#core/numeric/median'
import { rounded } from '#core/numeric/rounded'
import type { Answer, OpticsVerdict } from '#core/ranking/answer'
import { bestOf } from '#core/ranking/recommend'
import type { Occasion } from '#core/rules/occasion'
import { againstLure } from '#core/rules/windows'
import type { Span } from '#core/senses/feel'
import { type Fished, fishedHere, luresIn, shutOut } from '#core/which-lure/occasions'
import { type PairOut, middleOf, pairsOf } from '#core/which-lure/pairs'
import type { LuresRequest } from '#core/which-lure/request'
import { firstSense, ofHearing } from '#core/which-lure/senses'
import { type Middle, type Plain, type Worth, foundBy, plainWorth, worthOf } from '#core/which-lure/worth'
import type { Gate, LureCustomId } from '#core/words/lures'
import { type Said, type Sentence, plainly, said } from '#core/words/sentence'

/** A lure that may be fished here. Lengths in m. */
export interface HereLure {
  lure: LureId
  /** The same for those too close to call; the first is 1. */
  place: number
  depthM: number
  through: Passage
  why: Said
  /** What speaks against it all the same. */
  but: Said | null
  seen: { sightM: number; colourM: number }
  felt: Span
  heard: Span | null
  /** Makes no sound; what thumps is felt, and hardly heard. */
  silent: boolean
  /** Which sense finds it first, where that is beyond doubt. */
  senses: Said | null
  /** The best finish of it now. */
  finish: { id: string; name: string }
  /** Practised rules that speak for it, and whether senses and cover agree. */
  customs: { id: LureCustomId; verdict: OpticsVerdict }[]
}
export interface LuresAnswer {
  version: '1'
  here: HereLure[]
  notHere: { lure: LureId; gate: Gate; why: Said }[]
  pairs: PairOut[]
  /** What is to be said of hearing in this water, whatever the lure. */
  says: Said[]
  assumed: Answer['assumed']
}

/** Totals nearer than this are too close to call. */
const CLOSE = 0.1

/** A lure with its best finish and what it is worth here. */
export interface Candidate {
  fished: Fished
  finish: { id: string; name: string }
  plain: Plain
}

/** A lure looked at here: its best finish, how it is found and what the cover and the depth say of it. */
export function candidateOf(fished: Fished): Candidate {
  const { finish, sightM, colourM } = bestOf(fished.request)
  return { fished, finish, plain: plainWorth(fished.occasion, foundBy(fished.occasion, sightM, colourM)) }
}

/** What most speaks for a lure beside the others here. */
function whyOf({ occasion }: Plain, worth: Worth, usual: Record<keyof Worth['factors'], number>): Sentence {
  const { lure, cover, depthM, temperatureC } = occasion.conditions
  const lead = (of: keyof Worth['factors']) => worth.factors[of] - usual[of]
  const reasons: { lead: number; says: Sentence }[] = [
    { lead: lead('search'), says: plainly('lure.searches') },
    { lead: lead('look'), says: plainly('lure.bears-look') },
    { lead: lead('depth'), says: { code: 'lure.at-depth', params: { depthM } } },
  ]
  const [custom] = worth.customs
  if (custom) reasons.push({ lead: custom.effect, says: { code: 'lure.custom', params: { id: custom.custom.id } } })
  if (temperatureC !== null && temperatureC < COLD_C)
    reasons.push({ lead: lead('chase'), says: plainly('lure.slow-cold') })
  if (cover && worth.passage?.over)
    reasons.push({ lead: LEAST_LEAD, says: { code: 'lure.over', params: { cover: cover.kind } } })
  else if (cover && cover.kind !== 'open' && worth.passage && worth.passage.way !== 'care')
    reasons.push({
      lead: Math.max(LEAST_LEAD, lead('passage')),
      says: { code: 'lure.through', params: { lure, cover: cover.kind } },
    })
  const best = reasons.reduce((a, b) => (b.lead > a.lead ? b : a))
  return best.lead >= LEAST_LEAD ? best.says : plainly('lure.plain')
}
/** A lead smaller than this, as the logarithm of a factor, is no reason. */
const LEAST_LEAD = 0.15
/** Colder than this, °C, what hardly moves is worth a word. */
const COLD_C = 12

/** Whether what a custom implies is borne out here. */
function verdictOf(worth: Worth, { claims }: Plain, middle: Middle): HereLure['customs'] {
  return worth.customs.map(({ custom: { id, claim } }) => ({
    id,
    verdict: claim === 'none' ? 'unexplained' : claims[claim] >= middle[claim] ? 'supports' : 'contradicts',
  }))
}

const spanOut = ({ lowM, highM }: Span): Span => ({ lowM: rounded(lowM), highM: rounded(highM) })

/** Which lure here, and why not the others. Pure. */
export function luresHere(request: LuresRequest): LuresAnswer {
  const units = request.units ?? 'metric'
  const ids = request.lures ?? luresIn(request.water.salinity ?? 'fresh')
  const fished = ids.map(lure => fishedHere(request, lure))
  const notHere: LuresAnswer['notHere'] = []
  const candidates: Candidate[] = []
  for (const each of fished) {
    const out = shutOut(each.occasion)
    if (out) notHere.push({ lure: each.request.lure, gate: out.gate, why: said(out.says, units) })
    else candidates.push(candidateOf(each))
  }
  const middle = middleOf(candidates.map(c => c.plain))
  const judged = candidates
    .map(c => ({ ...c, worth: worthOf(c.plain, middle) }))
    .sort((a, b) => b.worth.total - a.worth.total || (a.fished.request.lure < b.fished.request.lure ? -1 : 1))
  const usual = usualFactors(judged.map(j => j.worth))
  let place = 1
  let leader = judged[0]?.worth.total ?? 0
  const here = judged.map(({ fished: { request: r, occasion }, finish, plain, worth }, i): HereLure => {
    if (leader - worth.total > CLOSE) [place, leader] = [i + 1, worth.total]
    const { found } = worth
    const sense = firstSense(occasion, found)
    const [but] = againstLure(occasion)
    return {
      lure: r.lure,
      place,
      depthM: rounded(occasion.conditions.depthM),
      through: worth.passage?.way ?? 'clean',
      why: said(whyOf(plain, worth, usual), units),
      but: but ? said(but.says, units) : null,
      seen: { sightM: rounded(found.sightM), colourM: rounded(found.colourM) },
      felt: spanOut(found.felt),
      heard: found.heard && spanOut(found.heard),
      silent: MANNER[r.lure].sound === 'silent',
      senses: sense && said(sense, units),
      finish,
      customs: verdictOf(worth, plain, middle),
    }
  })
  const first: Occasion | undefined = fished[0]?.occasion
  return {
    version: '1',
    here,
    notHere,
    pairs: pairsOf(request, candidates, middle, units),
    says: first
      ? ofHearing(
          first,
          here.some(h => h.heard !== null),
        ).map(s => said(s, units))
      : [],
    assumed: (first?.conditions.assumed ?? [])
      .filter(a => a.path !== 'depthM')
      .map(({ path, value, because }) => {
        const { text, ...sentence } = said(because, units)
        return { path, value, because: text, ...sentence }
      }),
  }
}

function usualFactors(worths: readonly Worth[]): Worth['factors'] {
  const out = {} as Worth['factors']
  const [first] = worths
  if (!first) return out
  for (const key of Object.keys(first.factors) as (keyof Worth['factors'])[])
    out[key] = medianOf(worths.map(w => w.factors[key]))
  return out
}
