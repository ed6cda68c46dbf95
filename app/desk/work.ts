import type { ReadingsAnswer } from '#core/evidence/answer'
import { answerOf } from '#core/evidence/readWater'
import { byOneAlone, discAt, posteriorOf } from '#core/evidence/whichWater'
import { type Allowed, type FirstIn, allowedWaters, firstIn } from '#core/ranking/byReadings'
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
export type DeskAsk =
  | { kind: 'read'; readings: readonly Reading[]; salt: boolean; units: UnitSystem }
  | { kind: 'firsts'; request: Request; waters: readonly Allowed[] }
export type DeskResult = DeskAnswer | FirstIn[]

function read({ readings, salt, units }: Extract<DeskAsk, { kind: 'read' }>): DeskAnswer {
  const posterior = posteriorOf(readings, salt)
  const bands = readings.map((_, i) => {
    const [lowM, highM] = discAt(byOneAlone(posterior, i), [0.05, 0.95])
    return { lowM: lowM!, highM: highM! }
  })
  return { answer: answerOf(posterior, units), bands, allowed: allowedWaters(posterior) }
}

function firsts({ request, waters }: Extract<DeskAsk, { kind: 'firsts' }>): FirstIn[] {
  return waters.map(water => firstIn(request, water))
}

/** The desk's heavy work, in a worker or, where none is to be had, on the page. */
export async function workDesk(ask: DeskAsk): Promise<DeskResult> {
  await withLightTable()
  return ask.kind === 'read' ? read(ask) : firsts(ask)
}
