import type { ReadingsAnswer } from '#core/evidence/answer'
import { answerOf } from '#core/evidence/readWater'
import { byOneAlone, discAt, posteriorOf } from '#core/evidence/whichWater'
import { type Allowed, type FirstIn, allowedWaters, firstIn } from '#core/ranking/byReadings'
import type { Reading } from '#core/request/readings'
import type { Request } from '#core/request/request'
import type { UnitSystem } from '#core/units'
import { withLight } from '~/common/withLight'

/** Where a disc would vanish by one reading alone, nine times in ten, m. */
export interface DiscBand {
  lowM: number
  highM: number
}
export interface DeskAnswer {
  answer: ReadingsAnswer
  bands: DiscBand[]
  allowed: Allowed[]
}
export interface ReadAsk {
  readings: readonly Reading[]
  salt: boolean
  units: UnitSystem
}

function read({ readings, salt, units }: ReadAsk): DeskAnswer {
  const posterior = posteriorOf(readings, salt)
  const bands = readings.map((_, i) => {
    const [lowM, highM] = discAt(byOneAlone(posterior, i), [0.05, 0.95])
    return { lowM: lowM!, highM: highM! }
  })
  return { answer: answerOf(posterior, units), bands, allowed: allowedWaters(posterior) }
}

function firsts({ request, waters }: { request: Request; waters: readonly Allowed[] }): FirstIn[] {
  return waters.map(water => firstIn(request, water))
}

/** What the desk's worker offers: what readings tell of the water, and what comes first in the waters they allow. */
export const deskApi = { read: withLight(read), firsts: withLight(firsts) }
