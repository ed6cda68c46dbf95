import type { DayAnswer } from '#core/day/answer'
import type { DayRequest } from '#core/day/request'
import type { LureId } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import type { Request } from '#core/request/request'
import type { Verdict } from '#core/trial/verdict'
import type { UnitSystem } from '#core/units'

/** How a finish looks to a diver from somewhere, in colours to draw with. */
export interface SharedLook {
  distanceM: number
  /** Whether its shape is still made out. */
  shape: boolean
  water: string
  parts: Partial<Record<Part, string>>
}

/** A call as it was when its link was made. */
export interface SharedCall {
  kind: 'call'
  units: UnitSystem
  /** The day alone, where it was one. */
  date: string | null
  /** What was asked, without place and clock. */
  asked: Request
  lure: LureId
  finish: { id: string; name: string; parts: { part: Part; words: string }[] }
  place: number
  depthM: number
  seenM: number
  colourM: number
  sunDeg: number
  reasons: string[]
  close: string | null
  column: { depthM: number; colour: string }[]
  inWater: SharedLook
  looks: SharedLook[]
}

/** A day's plan as it was, for a place within some hundred kilometres. */
export interface SharedPlan {
  kind: 'plan'
  units: UnitSystem
  asked: DayRequest
  from: string
  to: string
  /** Cloud, and whether one is ashore, by half-hour or so. */
  steps: { at: string; cloud: number; ashore: boolean; sunDeg: number }[]
  lanes: { lure: LureId; spells: { from: string; to: string; finishId: string; name: string; why: string }[] }[]
  pack: { finishId: string; name: string }[]
  /** What one finish a rod is worth, of a hundred that the pack is. */
  oneOfEach: number
  cautions: DayAnswer['cautions']
}

/** A box by what is in it; not where it is kept, nor a word of one's own. */
export interface SharedBox {
  kind: 'box'
  lures: { lure: LureId; finishes: { finishId: string; name: string; count: number; own: boolean }[] }[]
}

/** What a fair test showed. */
export interface SharedVerdict {
  kind: 'verdict'
  finishes: { id: string; lure: LureId; name: string }[]
  verdict: Verdict
  casts: number
}

export type Shared = SharedCall | SharedPlan | SharedBox | SharedVerdict
