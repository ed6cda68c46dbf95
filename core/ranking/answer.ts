import type { Assumed } from '#core/conditions/conditions'
import type { SchoolId } from '#core/conditions/schools'
import type { Family } from '#core/finish/families'
import type { Traits } from '#core/finish/finish'
import type { Part } from '#core/finish/parts'

/** The answer of the contract, version 1. */
export interface FinishOut {
  id: string
  name: string
  families: readonly Family[]
  traits: Traits
  parts: Partial<Record<Part, { paint: string, material: string, words: string }>>
}

export interface Reason { school: SchoolId | 'balanced', effect: number, text: string, custom?: { id: string, optics: OpticsVerdict } }
/** What the optics say of a custom: they bear it out here, they do not, or it makes no claim they can check. */
export type OpticsVerdict = 'supports' | 'contradicts' | 'unexplained'

export interface Ranked {
  rank: number
  finish: FinishOut
  score: number
  sightingRangeM: { level: number, below: number, above: number }
  colourRangeM: { level: number, below: number, above: number }
  flash: number
  naturalness: number
  /** Where each school stands on this finish, -1 against to 1 for. */
  stances: Record<SchoolId, number>
  reasons: Reason[]
}

export type Role = 'first' | 'switch' | 'odd'
export interface RodOut { role: Role, finishId: string, finish: FinishOut, why: string, when: string }
export interface Disagreement { between: [SchoolId, SchoolId], picks: [string, string], text: string, optics: string }
export interface Advisory { kind: 'lure-window' | 'safety' | 'sound' | 'size' | 'line' | 'retrieve', text: string }
export interface DressUp { finishId: string, text: string, gain: number, part: Part, coat: string }

export interface Answer {
  version: '1'
  ranked: Ranked[]
  rotation: RodOut[]
  lookAlikes: string[][]
  disagreements: Disagreement[]
  colourMatters: { level: 'little' | 'some' | 'much', text: string }
  assumed: Assumed[]
  advisories: Advisory[]
  dressUps: DressUp[]
}
