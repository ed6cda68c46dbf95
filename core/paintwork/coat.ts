import { MATERIAL, MATERIALS, type Material } from '#core/paintwork/material'
import { type PaintId, isPaint, paint, paintReflectance } from '#core/paintwork/paints'
import { BANDS, type Spectrum, spectrumOf } from '#core/spectrum/grid'

/** Specks, or stripes, scales and marks, covering a share of a part in another paint. */
export interface Speckle {
  paint: PaintId
  cover: number
  mirror: boolean
}

/** What one part is covered with. */
export interface Coat {
  paint: PaintId
  material: Material
  speckles: readonly Speckle[]
}

/** Optics of a coat: diffuse reflectance, transmittance, mirror reflectance (all on the grid), glint, glow. */
export interface CoatOptics {
  reflect: Spectrum
  transmit: Spectrum
  mirror: Spectrum
  /** Share of the area that can throw the sun back as a flash, 0-1. */
  glint: number
  glow: Glow | null
}

/** Fluorescence: quanta absorbed over a band come out over another. */
export interface Glow {
  absorb: Spectrum
  emit: Spectrum
  efficiency: number
}

/** Widths of a day-glow dye's bands, nm, and how far past its edge it emits; quantum efficiency in plastic. */
const DYE = { shortOfEdgeNm: 25, absorbNm: 45, cutNm: 8, pastEdgeNm: 16, emitNm: 16, efficiency: 0.45 }
const gaussian = (x: number, sigma: number) => Math.exp(-0.5 * (x / sigma) ** 2)

/**
 * Day-glow dyes absorb short of their own reflectance edge and emit just past it; quantum efficiency in plastic
 * about 0.4-0.6 (e.g. coumarin and rhodamine classes). Emission is normalised to one quantum over the grid.
 */
function glowOf(id: PaintId): Glow | null {
  const edge = paint(id).glowEdgeNm
  if (edge === undefined) return null
  const emit = spectrumOf(nm => gaussian(nm - edge - DYE.pastEdgeNm, DYE.emitNm))
  const total = emit.reduce((a, b) => a + b, 0)
  return {
    absorb: spectrumOf(nm =>
      nm > edge ? gaussian(nm - edge, DYE.cutNm) : gaussian(edge - DYE.shortOfEdgeNm - nm, DYE.absorbNm),
    ),
    emit: emit.map(v => v / total),
    efficiency: DYE.efficiency,
  }
}

const known = new WeakMap<Coat, CoatOptics>()

/**
 * Optics of a coat (worked out once; do not write to it). Translucent plastic passes light in its own colour and
 * scatters the rest back weakly; speckles cover their share of whatever lies below, mirror specks as small mirrors.
 */
export function coatOptics(coat: Coat): CoatOptics {
  let optics = known.get(coat)
  if (!optics) known.set(coat, (optics = workOptics(coat)))
  return optics
}

/**
 * What see-through plastic lets pass beside its material's share: colourless, and dyed (least, and more in its own
 * colour).
 */
const COLOURLESS = 1.35
const DYED = { least: 0.35, more: 0.65 }

function workOptics(coat: Coat): CoatOptics {
  const m = MATERIAL[coat.material]
  const base = paintReflectance(coat.paint)
  const out: CoatOptics = {
    reflect: new Float64Array(BANDS),
    transmit: new Float64Array(BANDS),
    mirror: new Float64Array(BANDS),
    glint: m.glint,
    glow: null,
  }
  const seeThrough = coat.material === 'translucent'
  const { colourless } = paint(coat.paint)
  let top = 0
  for (let i = 0; i < BANDS; i++) top = Math.max(top, base[i]!)
  for (let i = 0; i < BANDS; i++) {
    const r = base[i]!
    out.reflect[i] = seeThrough ? r * (1 - m.pass) : r * (1 - m.mirror)
    // Light passes in the dye's own colour: clear plastic almost unchanged, strong colours strongly filtered.
    out.transmit[i] = seeThrough ? m.pass * (colourless ? COLOURLESS : DYED.least + (DYED.more * r) / top) : 0
    out.mirror[i] = r * m.mirror
  }
  if (coat.material === 'fluorescent') out.glow = glowOf(coat.paint)
  for (const s of coat.speckles) {
    const spec = paintReflectance(s.paint)
    const keep = 1 - s.cover
    for (let i = 0; i < BANDS; i++) {
      out.reflect[i] = out.reflect[i]! * keep + (s.mirror ? 0 : s.cover * spec[i]!)
      out.transmit[i]! *= keep
      out.mirror[i] = out.mirror[i]! * keep + (s.mirror ? s.cover * spec[i]! : 0)
    }
    out.glint = out.glint * keep + (s.mirror ? s.cover : 0)
    if (out.glow) out.glow = { ...out.glow, efficiency: out.glow.efficiency * keep }
  }
  return out
}

/** A slip in the catalogue's shorthand: an unknown word, or a speckle's cover that is not between 0 and 1. */
export class CoatError extends Error {
  constructor(
    readonly code: 'unknown-paint' | 'unknown-material' | 'cover-out-of-range',
    readonly coat: string,
  ) {
    super(`${code} in coat "${coat}"`)
  }
}

const parsed = new Map<string, Coat>()

/**
 * Read the catalogue's shorthand for a coat: `paint`, `paint:material`, then any number of `+paint*cover`; a `~`
 * before the speckle's paint makes it a mirror. Metals are metallic and see-through paints translucent unless said
 * otherwise. The same text gives the same object. Throws on an unknown word, so that a slip in the data fails its
 * test.
 */
export function parseCoat(text: string): Coat {
  let coat = parsed.get(text)
  if (!coat) parsed.set(text, (coat = readCoat(text)))
  return coat
}

function readCoat(text: string): Coat {
  const [base, ...specks] = text.split('+')
  const [name, given] = base!.split(':')
  const id = paintId(name!, text)
  const material = (given ?? paint(id).material ?? 'matte') as Material
  if (!MATERIALS.includes(material)) throw new CoatError('unknown-material', text)
  const speckles = specks.map(s => {
    const [what, cover] = s.split('*')
    const mirror = what!.startsWith('~')
    const share = Number(cover)
    if (!(share > 0 && share < 1)) throw new CoatError('cover-out-of-range', text)
    return { paint: paintId(mirror ? what!.slice(1) : what!, text), cover: share, mirror }
  })
  return { paint: id, material, speckles }
}

function paintId(name: string, text: string): PaintId {
  if (!isPaint(name)) throw new CoatError('unknown-paint', text)
  return name
}

/** "green pumpkin, translucent, black flake" for labels and screen readers. */
export function coatWords(coat: Coat): string {
  const material =
    coat.material === 'matte' || paint(coat.paint).words.startsWith(coat.material)
      ? []
      : [MATERIAL[coat.material].words]
  return [
    paint(coat.paint).words,
    ...material,
    ...coat.speckles.map(s => `${paint(s.paint).words} ${s.mirror ? 'flake' : 'marks'}`),
  ].join(', ')
}
