import { BEAM_COLUMNS, COLUMN, type Column } from '#core/light-field/table'
import { LightProfile, type Scatter } from '#core/light-field/profile'
import type { SkyLight } from '#core/sky/light'
import { internalReflectance } from '#core/sky/surface'
import { BANDS, type Spectrum } from '#core/spectrum/grid'
import type { WaterOptics } from '#core/water/optics'

/** Ways to look level, or to turn a face, beside the sun: towards it, across, and away from it. */
export const HEADINGS = ['toward', 'across', 'away'] as const
export type Heading = (typeof HEADINGS)[number]
export type ByHeading = Readonly<Record<Heading | 'mean', Spectrum>>

/** Light at one depth, spectra of quanta: irradiances, and radiances per steradian. */
export interface LightField {
  readonly depthM: number
  /** Downward irradiance. */
  readonly ed: Spectrum
  /** Upward irradiance. */
  readonly eu: Spectrum
  /** Irradiance on an upright face turned that way, and its mean over headings. */
  readonly eSide: ByHeading
  /** Radiance seen looking level that way, and its mean. */
  readonly lh: ByHeading
  /** Radiance seen looking up inside the window, and down. */
  readonly lZen: Spectrum
  readonly lNad: Spectrum
}

/** What lies under the water: how deep, and what share of the light it throws back. */
export interface Bed {
  depthM: number
  reflectance: Spectrum
}

/** Step below the depth over which the decay is measured, as optical depth. */
const PROBE_TAU = 0.2
/** Beyond this optical thickness a bed is not seen in any light. */
const BED_LOST_TAU = 60
/** Light never quite goes out: so far below what any eye sees that only a division by it would notice. */
const DARKEST = 1e-250
/** A black bed takes away most of what it can: no less than this share of open water's light is left. */
const LEAST_LEFT = 0.1
/** Directions over which light that rises to the surface is reflected. */
const RISING = 24

/**
 * Share of a bed's light that the surface sends back down, after an optical path through what absorbs: the slanting
 * rays, which would be wholly reflected, are lost first.
 */
function sentBack(path: number): number {
  let rises = 0
  let back = 0
  for (let i = 0; i < RISING; i++) {
    const mu = (i + 0.5) / RISING
    const light = mu * Math.exp(-path / mu)
    rises += light
    back += light * internalReflectance(mu)
  }
  return rises > 0 ? back / rises : 0
}

/** One band of a column of water: the light of its sky, and what its bed adds. */
interface Band {
  c: number
  sky: LightProfile
  bed: { profile: LightProfile; tau: number; sends: number; returns: number } | null
}

/** Up and down changed over: how a bed's light looks from above it. */
const FLIPPED = Array.from({ length: BEAM_COLUMNS }, (_, c) => c)
FLIPPED[COLUMN.ed] = COLUMN.eu
FLIPPED[COLUMN.eu] = COLUMN.ed
FLIPPED[COLUMN.lZen] = COLUMN.lNad
FLIPPED[COLUMN.lNad] = COLUMN.lZen

/**
 * Light in uniform water under a sky, at any depth, from the radiative transfer table.
 *
 * A bed is a second source: it throws back R·Ed where open water would have sent up Eu, so it adds S = (R Ed - Eu)/(1 -
 * R B), B being what comes down again for each unit sent up. Its light goes up through water as the light of an even
 * source into water without end (upside down), and what the surface sends back goes down as such light again.
 * Against the solver with a bed in it, 0.5-16 optical depths of water over beds of 0.05 and 0.3: 0.6 % mean and 4 %
 * worst for Ed, 2.5 % and 20 % for Eu, 1.5 % and 10 % for E_side, 1.2 % and 31 % for L_h; the worst all in half an
 * optical depth of pale water (tools/light-table/table.test.ts measures it).
 */
export class LightColumn {
  private readonly bands: Band[] = []

  constructor(
    readonly water: WaterOptics,
    private readonly sky: SkyLight,
    private readonly bed: Bed | null = null,
  ) {}

  /** A band is made ready when it is first asked for: a reading needs only a few of them. */
  private bandOf(i: number): Band {
    return (this.bands[i] ??= this.makeBand(i))
  }
  private makeBand(i: number): Band {
    const { water, sky, bed } = this
    const c = water.beam[i]!
    const scatter = { omega: water.scattering[i]! / c, share: water.back[i]! / water.scattering[i]! }
    const profile = new LightProfile(scatter, {
      beam: { mu: sky.beamMu, weight: sky.direct[i]! },
      overcast: sky.diffuse.overcast[i]!,
      clear: sky.diffuse.clear[i]!,
    })
    return { c, sky: profile, bed: bed && bedOf(bed, i, c, scatter, profile) }
  }

  /** The field at a depth, m, 0 or more. */
  at(depthM: number): LightField {
    return new FieldAt(this, depthM)
  }

  /** One column of one band at a depth, m. */
  value(i: number, depthM: number, column: number): number {
    const { c, sky, bed } = this.bandOf(i)
    const tau = c * depthM
    const open = Math.max(DARKEST, sky.value(tau, column))
    if (!bed) return open
    const rising = bed.profile.value(Math.max(0, bed.tau - tau), FLIPPED[column]!)
    const added = bed.sends * (rising + bed.returns * bed.profile.value(tau, column))
    return Math.max(LEAST_LEFT * open, open + added)
  }

  /** One column of all bands at a depth, m, into `out`. */
  spectrum(depthM: number, column: number, out: Spectrum): void {
    for (let i = 0; i < BANDS; i++) out[i] = this.value(i, depthM, column)
  }

  /** Diffuse decay of the downward light just below a depth, per metre, 0 to c; where all is dark 0. */
  decay(depthM: number): Spectrum {
    return this.water.beam.map((c, i) => {
      const drop = this.value(i, depthM, COLUMN.ed) / this.value(i, depthM + PROBE_TAU / c, COLUMN.ed)
      return Math.min(c, Math.max(0, (Math.log(drop) / PROBE_TAU) * c))
    })
  }
}

/** What is by heading of a field. */
class ByHeadingAt implements ByHeading {
  constructor(
    private readonly field: FieldAt,
    private readonly name: 'eSide' | 'lh',
  ) {}
  get mean() {
    return this.field.of(this.name)
  }
  get toward() {
    return this.field.of(`${this.name}Toward`)
  }
  get across() {
    return this.field.of(`${this.name}Across`)
  }
  get away() {
    return this.field.of(`${this.name}Away`)
  }
}

/** The field at a depth, each spectrum worked out when it is first asked for: few who look need all thirteen. */
class FieldAt implements LightField {
  readonly eSide: ByHeading = new ByHeadingAt(this, 'eSide')
  readonly lh: ByHeading = new ByHeadingAt(this, 'lh')
  private readonly made: (Spectrum | undefined)[] = new Array<Spectrum | undefined>(BEAM_COLUMNS).fill(undefined)
  constructor(
    private readonly column: LightColumn,
    readonly depthM: number,
  ) {}
  of(name: Column): Spectrum {
    const i = COLUMN[name]
    let made = this.made[i]
    if (!made) this.column.spectrum(this.depthM, i, (made = this.made[i] = new Float64Array(BANDS)))
    return made
  }
  get ed() {
    return this.of('ed')
  }
  get eu() {
    return this.of('eu')
  }
  get lZen() {
    return this.of('lZen')
  }
  get lNad() {
    return this.of('lNad')
  }
}

function bedOf(bed: Bed, band: number, c: number, scatter: Scatter, sky: LightProfile): Band['bed'] {
  const tau = c * bed.depthM
  if (tau > BED_LOST_TAU) return null
  const profile = new LightProfile(scatter, { bed: 1 })
  const { omega, share } = scatter
  const rises = profile.value(tau, COLUMN.ed)
  const returns = sentBack(tau * (1 - omega + omega * share)) * rises
  const comesDown = profile.value(0, COLUMN.eu) + returns * rises
  const r = bed.reflectance[band]!
  const sends = (r * sky.value(tau, COLUMN.ed) - sky.value(tau, COLUMN.eu)) / (1 - r * comesDown)
  return { profile, tau, sends, returns }
}
