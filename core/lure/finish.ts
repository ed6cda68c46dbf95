import { type Coat, type CoatOptics, coatOptics, parseCoat } from '#core/paintwork/coat'
import type { Family } from '#core/paintwork/families'
import type { Forage } from '#core/prey/forage'
import { LURE_IDS, type LureId, lureType } from '#core/lure/types'
import { paint, paintReflectance } from '#core/paintwork/paints'
import type { Part } from '#core/paintwork/parts'
import type { Mark, Pattern } from '#core/lure/pattern'
import { YBAR } from '#core/spectrum/colour'
import { type Spectrum, dot } from '#core/spectrum/grid'

export type Tone = 'light' | 'mid' | 'dark'

export interface Traits {
  opacity: 'translucent' | 'opaque'
  flash: 'none' | 'low' | 'high'
  tone: Tone
  vivid: boolean
  matte: boolean
}

/** One part of a finish with its optics and how much of the fish's view it takes. */
export interface FinishPart {
  part: Part
  coat: Coat
  optics: CoatOptics
  share: number
  /** What the eye has of it from the side, m². */
  areaM2: number
  /** Root-mean-square lightness contrast of its specks; 0 for a plain coat. */
  texture: number
}

export interface Finish {
  /** lure and pattern: `jerkbait.matte-pearl`. */
  id: string
  lure: LureId
  name: string
  parts: readonly FinishPart[]
  families: readonly Family[]
  traits: Traits
  mark: Mark | null
  mimics: Forage | null
}

const Y_SUM = YBAR.reduce((a, b) => a + b, 0)
/** Luminous reflectance, 0-1, in even light. */
export const lightness = (s: Spectrum) => dot(s, YBAR) / Y_SUM

function textureOf(coat: Coat): number {
  const base = lightness(paintReflectance(coat.paint))
  return coat.speckles.reduce(
    (s, k) =>
      s +
      Math.sqrt(k.cover * (1 - k.cover)) *
        (Math.abs(lightness(paintReflectance(k.paint)) - base) + (k.mirror ? 0.15 : 0)),
    0,
  )
}

/** What each family weighs in a coat: speckles count for their cover. */
function coatFamilies(coat: Coat): [Family, number][] {
  const specked = coat.speckles.reduce((s, k) => s + k.cover, 0)
  return [
    [paint(coat.paint).family, 1 - specked],
    ...coat.speckles.map(s => [paint(s.paint).family, s.cover] as [Family, number]),
  ]
}

/** A family counts as shown when it takes at least this share of what the fish sees. */
const SHOWN_SHARE = 0.17

function familiesOf(parts: readonly FinishPart[]): Family[] {
  const weight = new Map<Family, number>()
  for (const p of parts)
    for (const [family, w] of coatFamilies(p.coat)) weight.set(family, (weight.get(family) ?? 0) + w * p.share)
  const ranked = [...weight].sort((a, b) => b[1] - a[1])
  const shown = ranked.filter(([, w]) => w >= SHOWN_SHARE).slice(0, 3)
  return (shown.length ? shown : ranked.slice(0, 1)).map(([f]) => f)
}

function traitsOf(parts: readonly FinishPart[]): Traits {
  let glint = 0,
    pass = 0,
    light = 0,
    vivid = 0,
    matte = 0,
    total = 0
  for (const p of parts) {
    total += p.share
    glint += p.share * p.optics.glint
    pass += p.share * lightness(p.optics.transmit)
    light += p.share * (lightness(p.optics.reflect) + lightness(p.optics.mirror) + 0.6 * lightness(p.optics.transmit))
    if (paint(p.coat.paint).vivid) vivid += p.share
    if (p.coat.material === 'matte') matte += p.share
  }
  const l = light / total
  return {
    opacity: pass / total > 0.2 ? 'translucent' : 'opaque',
    flash: glint / total > 0.25 ? 'high' : glint / total > 0.07 ? 'low' : 'none',
    tone: l > 0.42 ? 'light' : l > 0.13 ? 'mid' : 'dark',
    vivid: vivid / total >= 0.3,
    matte: matte / total > 0.8,
  }
}

const PLAIN_HOOK = parseCoat('hook-steel')

/** Parts that run along the lure, by the share of its length they take; any other is about as long as it is high. */
const RUNS: Partial<Record<Part, number>> = {
  back: 0.85,
  flank: 0.8,
  belly: 0.75,
  skirt: 0.7,
  trailer: 0.5,
  blade: 0.4,
}

/** Area of a part seen from the side, m². */
function areaOf(part: Part, heightMm: number, lengthMm: number): number {
  return (heightMm * Math.max(heightMm, (RUNS[part] ?? 0) * lengthMm)) / 1e6
}

/** Build a finish of a lure type from explicit coats; parts the lure lacks are left out. */
export function buildFinish(
  lure: LureId,
  id: string,
  name: string,
  coats: Partial<Record<Part, Coat>>,
  mark: Mark | null = null,
  mimics: Forage | null = null,
): Finish {
  const type = lureType(lure)
  const parts: FinishPart[] = []
  for (const [part, { share, mm }] of Object.entries(type.parts) as [Part, { share: number; mm: number }][]) {
    // A chin or head that is not painted apart is simply more of the belly or flank; hooks come plain.
    const coat =
      coats[part] ??
      (part === 'chin' ? coats.belly : part === 'head' ? coats.flank : part === 'hook' ? PLAIN_HOOK : undefined)
    const areaM2 = areaOf(part, mm, type.lengthMm)
    if (coat) parts.push({ part, coat, optics: coatOptics(coat), texture: textureOf(coat), share, areaM2 })
  }
  if (!parts.some(p => p.share > 0)) throw new Error(`finish "${id}" has no part that a ${type.words} shows`)
  return { id, lure, name, parts, families: familiesOf(parts), traits: traitsOf(parts), mark, mimics }
}

/** What a pattern is called on a lure: with its blades where it spins them. */
function nameOn(lure: LureId, { name, blades, bladeShape }: Pattern): string {
  if (!blades || !lureType(lure).powers.includes('spins')) return name
  if (lure !== 'spinnerbait') return `${name}, ${blades} blade`
  return [`${name}, ${blades}`, bladeShape, 'blades'].filter(Boolean).join(' ')
}

const finishIdOf = (lure: LureId, patternId: string) => `${lure}.${patternId}`

function fromPattern(lure: LureId, patternId: string, pattern: Pattern): Finish {
  const coats = Object.fromEntries(
    Object.entries(pattern.parts).map(([part, text]) => [part, parseCoat(text)]),
  ) as Partial<Record<Part, Coat>>
  const name = nameOn(lure, pattern)
  return buildFinish(lure, finishIdOf(lure, patternId), name, coats, pattern.mark ?? null, pattern.mimics ?? null)
}

const catalogue = new Map<LureId, readonly Finish[]>()

/** All finishes of a lure type, built once. */
export function finishesOf(lure: LureId): readonly Finish[] {
  let list = catalogue.get(lure)
  if (!list) {
    list = Object.entries(lureType(lure).patterns).map(([id, p]) => fromPattern(lure, id, p))
    catalogue.set(lure, list)
  }
  return list
}

/** A finish by its id, or null. */
export function finishById(id: string): Finish | null {
  const lure = id.slice(0, id.indexOf('.')) as LureId
  return LURE_IDS.includes(lure) ? (finishesOf(lure).find(f => f.id === id) ?? null) : null
}

/** Ids of all finishes of all lures; none of them is built for it. */
export const finishIds = (): string[] =>
  LURE_IDS.flatMap(lure => Object.keys(lureType(lure).patterns).map(id => finishIdOf(lure, id)))

/** A finish's name as it stands in a sentence: one that an angler gave is quoted, and keeps its letters. */
export const nameSaid = (finish: Finish): string => (finishById(finish.id) ? finish.name : `“${finish.name}”`)
