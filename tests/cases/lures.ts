import { readFileSync } from 'node:fs'
import type { CoverId, Density } from '#core/cover/cover'
import type { LureId } from '#core/lure/types'
import type { LuresAnswer } from '#core/which-lure/answer'
import type { LuresRequest } from '#core/which-lure/request'

/** A case of which lure goes where: one of those expected stands among the first three, none refused among five. */
export interface LureCase extends Pick<LuresRequest, 'light' | 'season' | 'species'> {
  id: string
  water: LuresRequest['water']
  cover: { kind: CoverId; density: Density; depthM: number }
  expectAny: LureId[]
  notFirst: LureId[]
  why: string
}
export const lureCases = (file: string) => JSON.parse(readFileSync(`tests/cases/${file}`, 'utf8')) as LureCase[]

/** The request of a case; where its reason names a fish, that fish. */
export function asked({ water, cover: { depthM, ...cover }, light, season, species, why }: LureCase): LuresRequest {
  const named = species ?? (/species ([a-z-]+)/.exec(why)?.[1] as LureCase['species'])
  return { water: { ...water, depthM, cover }, light, season, ...(named ? { species: named } : {}) } as LuresRequest
}

/** What an answer misses of a case; empty where it is met. */
export function missed({ expectAny, notFirst }: LureCase, { here }: LuresAnswer): string[] {
  const lures = here.map(h => h.lure)
  const among = (n: number, of: readonly LureId[]) => lures.slice(0, n).filter(l => of.includes(l))
  const none = among(3, expectAny).length ? [] : [`first three are ${lures.slice(0, 3).join(' ')}`]
  return [...none, ...among(5, notFirst).map(l => `${l} stands among the first five`)]
}
