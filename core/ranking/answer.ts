import type { SchoolId } from '#core/words/schools'
import type { Family } from '#core/paintwork/families'
import type { Traits } from '#core/lure/finish'
import type { Heading } from '#core/light-field/lightField'
import type { Side } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import type { AdvisoryKind } from '#core/rules/advisories'
import type { Said, SentenceCode } from '#core/words/sentence'

/** The answer of the contract, version 1. */
export interface FinishOut {
  id: string
  name: string
  families: readonly Family[]
  traits: Traits
  parts: Partial<Record<Part, { paint: string; material: string; words: string }>>
}

/** What the optics say of a custom: they bear it out here, they do not, or it makes no claim they can check. */
export const OPTICS_VERDICTS = ['supports', 'contradicts', 'unexplained'] as const
export type OpticsVerdict = (typeof OPTICS_VERDICTS)[number]

/** One effect on a score, in words. Whatever has a `text` also has the code and parameters it was worded from. */
export interface Reason extends Said {
  school: SchoolId | 'balanced'
  effect: number
  custom?: { id: string; optics: OpticsVerdict }
}

/** A figure for each side a fish may look from. */
export type BySide = Record<Side, number>

export interface Ranked {
  rank: number
  /** As the rank, but shared by finishes whose scores lie within the engine's own noise. */
  place: number
  finish: FinishOut
  score: number
  sightingRangeM: BySide
  /** The level range to a fish that looks towards the sun, across it and away from it. */
  levelRangeM: Record<Heading, number>
  colourRangeM: BySide
  /** How far across the water the angler can follow it; null but for surface lures. */
  anglerSightM: number | null
  flash: number
  naturalness: number
  /** Where each school stands on this finish, -1 against to 1 for. */
  stances: Record<SchoolId, number>
  reasons: Reason[]
}

/** A sentence as data, without its words. */
export type Coded = Omit<Said, 'text'>

export const ROLES = ['first', 'switch', 'odd'] as const
export type Role = (typeof ROLES)[number]

export interface RodOut {
  role: Role
  finishId: string
  finish: FinishOut
  why: string
  when: string
  says: { why: Coded; when: Coded }
}

export interface Disagreement {
  between: [SchoolId, SchoolId]
  picks: [string, string]
  text: string
  optics: string
  /** When to take which side. */
  when: string
  says: { text: Coded; optics: Coded; when: Coded }
}

/** Several finishes in the first place: any of them will do. */
export interface CloseCall extends Said {
  finishIds: string[]
}

export interface Advisory extends Said {
  kind: AdvisoryKind
}

export interface DressUp extends Said {
  finishId: string
  gain: number
  part: Part
  coat: string
}

export const COLOUR_MATTERS = ['little', 'some', 'much'] as const

/** Something the angler did not say and the engine took for granted. */
export interface Assumed {
  path: string
  value: unknown
  because: string
  code: SentenceCode
  params: object
}

export interface Answer {
  version: '1'
  ranked: Ranked[]
  /** Where the first place is shared: by which, and what settles it; null where one is plainly first. */
  closeCall: CloseCall | null
  rotation: RodOut[]
  lookAlikes: string[][]
  disagreements: Disagreement[]
  /** Where the way the fish looks decides between two of the best; null where it does not. */
  turning: Said | null
  colourMatters: Said & { level: (typeof COLOUR_MATTERS)[number] }
  assumed: Assumed[]
  advisories: Advisory[]
  /** What to look for when the first pick is let down beside the boat; null where there is nothing to see by. */
  boatSide: Said | null
  /** What to change after colour, one thing at a time. */
  next: Said
  dressUps: DressUp[]
}
