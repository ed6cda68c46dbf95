import { heldBy } from '#core/cover/cover'
import type { SpeciesId } from '#core/eye/species'
import { MANNER } from '#core/lure/manner'
import type { Passage } from '#core/lure/passage'
import { type LureId, lureType } from '#core/lure/types'
import { shareOf } from '#core/prey/odds'
import { holds } from '#core/rules/custom'
import type { Occasion } from '#core/rules/occasion'
import { againstLure, passageIn } from '#core/rules/windows'
import { type Span, feltRange, isBroken } from '#core/senses/feel'
import { heardRange } from '#core/senses/hearing'
import { fishDepthM } from '#core/which-lure/fishDepth'
import { LURE_CUSTOMS, type LureCustom } from '#core/which-lure/customs'

/** By what a lure is found, m. */
export interface Found {
  /** From how far its best finish shows, and shows its colour. */
  sightM: number
  colourM: number
  felt: Span
  heard: Span | null
}

/** What makes a lure worth fishing here, each as the logarithm of a factor. */
export const FACTORS = ['search', 'passage', 'chase', 'look', 'depth', 'food', 'size', 'windows', 'customs'] as const
export type Factor = (typeof FACTORS)[number]

export interface Worth {
  found: Found
  passage: { way: Passage; over: boolean } | null
  factors: Record<Factor, number>
  /** Customs that hold, with what each adds. */
  customs: { custom: LureCustom; effect: number }[]
  total: number
}

/** Ranges shorter than this are all as short, m. */
const LEAST_M = 0.02
const middleOf = ({ lowM, highM }: Span) => Math.sqrt(Math.max(LEAST_M, lowM) * Math.max(LEAST_M, highM))

export function foundBy({ conditions: c }: Occasion, sightM: number, colourM: number): Found {
  const { shake, sound } = MANNER[c.lure]
  const runs = c.tide === 'rising' || c.tide === 'falling'
  return {
    sightM,
    colourM,
    felt: feltRange(shake, isBroken(c.wind, runs)),
    heard: heardRange(sound, c.species, c.waterM, c.wind),
  }
}

/** Range of sight and feel together, m: R³ = R_sight³ + R_feel³ (Gerritsen & Strickler 1977). */
const rangeOf = ({ sightM, felt }: Found) => Math.cbrt(Math.max(LEAST_M, sightM) ** 3 + middleOf(felt) ** 3)

/** Seconds for which what is met is counted. */
const COUNTED_S = 10
/**
 * Water in which a fish would notice the lure, m² in ten seconds: 2 R v along its way (Gerritsen & Strickler 1977;
 * Koopman 1956), and the disc of R round where each cast puts it, for the share of the time that it is down there.
 */
export const searched = (lure: LureId, rangeM: number, depthM: number): number => {
  const { speedMs, castS, vertical } = MANNER[lure]
  const fishing = vertical ? 1 : castS / (castS + depthM / SINKS_MS)
  return COUNTED_S * fishing * (2 * rangeM * speedMs + (Math.PI * rangeM ** 2) / castS)
}
/** What is cast sinks or dives so fast, and is not at its depth meanwhile, m/s. */
const SINKS_MS = 0.4
/**
 * What is met counts for so much where fish hold to cover that is cast to, and for more where they roam: in the open,
 * and the more the warmer, for cold fish lie where they lie. Powers of it; ours.
 */
const SEARCH = { held: 0.1, lying: 0.2, roaming: 0.45 } as const

/** What fraction of the fish within cover a lure gets to that comes through so; over the top of it fish must rise. */
const GETS_TO: Readonly<Record<Passage, number>> = { clean: 1, knocks: 0.95, care: 0.4, hangs: 0.02 }
const GETS_TO_OVER = 0.6

/** Speed that fish will follow, m/s, by temperature: what hardly moves at 4 °C, anything at 28 °C. Ours. */
const FOLLOWS = { leastMs: 0.15, perC: 0.048, fromC: 4, usualC: 18, falling: 0.65, rising: 1.2 } as const
function followedMs({ conditions: { temperatureC, trend, phase } }: Occasion): number {
  const warm = Math.max(0, (temperatureC ?? FOLLOWS.usualC) - FOLLOWS.fromC)
  const speed = FOLLOWS.leastMs + FOLLOWS.perC * warm
  // The autumn's cooling is no front: fish feed through it.
  if (trend === 'falling' && phase !== 'autumn') return FOLLOWS.falling * speed
  return trend === 'rising' ? FOLLOWS.rising * speed : speed
}

/** How active fish are, 0-1: all of it once they follow what runs at this speed, m/s. */
const ACTIVE_MS = 0.8
const activeIn = (o: Occasion) => Math.min(1, followedMs(o) / ACTIVE_MS)

/** A lure that cold stops works less within so many °C above that, down to this logarithm of a factor. Ours. */
const NEAR_COLD = { overC: 4, most: 0.8 } as const
function nearItsCold({ conditions: { lure, temperatureC } }: Occasion): number {
  const { worksFromC } = MANNER[lure]
  if (worksFromC === null || temperatureC === null) return 0
  return NEAR_COLD.most * Math.min(1, Math.max(0, 1 - (temperatureC - worksFromC) / NEAR_COLD.overC))
}

/** How closely fish look before they take, 0-1. */
const WARY = { low: 0.6, normal: 1, high: 1.4 } as const
function inspects({ conditions: c, grades: g }: Occasion): number {
  const lit = (0.5 + 0.5 * g.sunny) * (1 - g.night)
  return Math.min(1, g.clear * lit * (1 - 0.55 * g.windy) * WARY[c.pressure])
}

/** A look that finds it out counts for so much: the power of the chance that it does not. Ours. */
const LOOKED_AT = 1.3

/** Lengths a fish of the species takes best, mm. Ours. */
const TAKEN_MM: Readonly<Record<SpeciesId, readonly [number, number]>> = {
  'largemouth-bass': [60, 200],
  'smallmouth-bass': [50, 130],
  'spotted-bass': [50, 130],
  'striped-bass': [65, 250],
  'crappie': [25, 50],
  'red-drum': [55, 160],
  'seatrout': [55, 160],
  'snook': [60, 180],
}
/** A lure out of that range by some factor is taken less by this power of it. Ours. */
const MISSIZED = 4

/** A fish comes up so many disc depths to a lure when it is active, and goes down half as far. Ours. */
const RISES = { least: 0.35, byClarity: 0.6, down: 0.5 } as const
/** How far a lure is from where the fish are, in what they will come. */
function outOfReach(o: Occasion): number {
  const { visibilityM, depthM } = o.conditions
  const fishM = fishDepthM(o)
  if (fishM === null) return 0
  const up = RISES.least + RISES.byClarity * visibilityM * activeIn(o)
  const away = fishM - depthM
  return away > 0 ? away / up : -away / (up * RISES.down + 0.3)
}

/** Of what they eat, how much a lure can be taken for, and what that counts. */
const FED = { none: 0.55, all: 1 } as const
function takenFor({ conditions: { lure, prey } }: Occasion): number {
  const share = lureType(lure).imitates.reduce((sum, kind) => sum + shareOf(prey.shares, kind), 0)
  return FED.none + (FED.all - FED.none) * Math.min(1, share)
}

/** What a window that does not shut the lure out takes from it: logarithm of a factor. Ours. */
const WINDOW = -0.6
/** What a custom of strength 1 adds. Ours. */
const CUSTOM = 1.2
/** A custom that senses and cover speak against keeps so much of its strength. */
const CONTRADICTED = 0.45

/** How the engine's own figures stand to what a custom implies, against the middle of the lures at hand. */
export type Middle = Record<'found' | 'bears-look' | 'comes-through' | 'reaches', number>
const claimed = (o: Occasion, rangeM: number, way: Passage | undefined): Middle => ({
  'found': Math.log(rangeM),
  'bears-look': MANNER[o.conditions.lure].bearsLook,
  'comes-through': Math.log(GETS_TO[way ?? 'clean']),
  'reaches': -outOfReach(o),
})

/** What the senses, the cover and the depth say of a lure here, before customs. */
export interface Plain {
  occasion: Occasion
  found: Found
  passage: Worth['passage']
  claims: Middle
  factors: Omit<Record<Factor, number>, 'customs'>
}

/** Encounter times persuasion, as logarithms. */
export function plainWorth(occasion: Occasion, found: Found): Plain {
  const { lure, cover, species } = occasion.conditions
  const { bearsLook, speedMs } = MANNER[lure]
  const rangeM = rangeOf(found)
  const passage = passageIn(occasion)
  const held = cover ? heldBy(cover) : 0.3
  const gets = passage?.over ? GETS_TO_OVER : GETS_TO[passage?.way ?? 'clean']
  const roam = SEARCH.held + (1 - held) * (SEARCH.lying + SEARCH.roaming * activeIn(occasion))
  const { lengthMm } = lureType(lure)
  const [small, large] = TAKEN_MM[species]
  return {
    occasion,
    found,
    passage,
    claims: claimed(occasion, rangeM, passage?.way),
    factors: {
      search: roam * Math.log(searched(lure, rangeM, occasion.conditions.depthM)),
      passage: Math.log(1 - held + held * gets),
      chase: -Math.log(1 + (speedMs / followedMs(occasion)) ** 3) - nearItsCold(occasion),
      look: LOOKED_AT * Math.log(1 - 0.95 * inspects(occasion) * (1 - bearsLook)),
      depth: -0.5 * outOfReach(occasion) ** 2,
      food: Math.log(takenFor(occasion)),
      size: -MISSIZED * Math.max(0, Math.log(small / lengthMm), Math.log(lengthMm / large)),
      windows: WINDOW * againstLure(occasion).length,
    },
  }
}

/** Customs added, each held against the middle of the lures here by what it implies. */
export function worthOf(plain: Plain, middle: Middle): Worth {
  const { occasion, found, passage, claims, factors } = plain
  const customs: Worth['customs'] = []
  for (const custom of LURE_CUSTOMS) {
    if (!custom.lures.includes(occasion.conditions.lure)) continue
    const k = holds(custom.when, occasion)
    if (k === 0) continue
    const agrees = custom.claim === 'none' || claims[custom.claim] >= middle[custom.claim]
    customs.push({ custom, effect: CUSTOM * custom.strength * k * (agrees ? 1 : CONTRADICTED) })
  }
  customs.sort((a, b) => b.effect - a.effect)
  // Several customs that favour one lure say much the same: each further one counts for half of the one before.
  const all = { ...factors, customs: customs.reduce((sum, c, i) => sum + c.effect / 2 ** i, 0) }
  return { found, passage, factors: all, customs, total: Object.values(all).reduce((s, v) => s + v, 0) }
}
