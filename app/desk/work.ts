import type { ReadingsAnswer } from '#core/evidence/answer'
import { answerOf } from '#core/evidence/readWater'
import { discAt, posteriorOf } from '#core/evidence/whichWater'
import { type Allowed, allowedWaters } from '#core/ranking/byReadings'
import { rank } from '#core/ranking/recommend'
import type { Reading } from '#core/request/readings'
import type { Request } from '#core/request/request'
import type { UnitSystem } from '#core/units'
import { withLightTable } from '~/screen/lightTable'

/** Where a disc would vanish by one reading alone, nine times in ten, m. */
export interface Band {
  lowM: number
  highM: number
}
export interface DeskAnswer {
  answer: ReadingsAnswer
  bands: Band[]
  allowed: Allowed[]
}
/** The first pick of a water, and all that share its place. */
export interface FirstIn {
  water: Allowed
  first: string
  shared: string[]
}

export type DeskAsk =
  | { kind: 'read'; readings: readonly Reading[]; salt: boolean; units: UnitSystem }
  | { kind: 'firsts'; request: Request; waters: readonly Allowed[] }
export type DeskResult = DeskAnswer | FirstIn[]

function read({ readings, salt, units }: Extract<DeskAsk, { kind: 'read' }>): DeskAnswer {
  const posterior = posteriorOf(readings, salt)
  const bands = readings.map(r => {
    const [lowM, highM] = discAt(posteriorOf([r], salt), [0.05, 0.95])
    return { lowM: lowM!, highM: highM! }
  })
  return { answer: answerOf(posterior, units), bands, allowed: allowedWaters(posterior) }
}

function firsts({ request, waters }: Extract<DeskAsk, { kind: 'firsts' }>): FirstIn[] {
  return waters.map(water => {
    const { tint, visibilityM } = water
    const { ranked, places } = rank({ ...request, water: { ...request.water, tint, visibilityM } })
    return {
      water,
      first: ranked[0]!.finish.id,
      shared: ranked.filter((_, i) => places[i] === 1).map(j => j.finish.id),
    }
  })
}

/** The desk's heavy work, in a worker or, where none is to be had, on the page. */
export async function workDesk(ask: DeskAsk): Promise<DeskResult> {
  await withLightTable()
  return ask.kind === 'read' ? read(ask) : firsts(ask)
}
