import { type LureId, type Power, lureType } from '#core/lure/types'
import type { Moment } from '#core/schools/school'
import { type ClarityWord, clarityWord } from '#core/water/words'

/** What rules that need no optics look at. */
export type Occasion = Pick<Moment, 'conditions' | 'grades'>

export const is = ({ conditions }: Occasion, ...lures: LureId[]) => lures.includes(conditions.lure)
export const typeIn = ({ conditions }: Occasion) => lureType(conditions.lure)
export const can = (m: Occasion, power: Power) => typeIn(m).powers.includes(power)
/** Whether the water is known to be colder, or warmer, than so many °C; false where no temperature was given. */
export const colder = ({ conditions: c }: Occasion, thanC: number) => c.temperatureC !== null && c.temperatureC < thanC
export const warmer = ({ conditions: c }: Occasion, thanC: number) => c.temperatureC !== null && c.temperatureC > thanC

const inWater = (m: Occasion, ...words: ClarityWord[]) => words.includes(clarityWord(m.conditions.visibilityM))
export const seesFar = (m: Occasion) => inWater(m, 'clear', 'gin')
export const isDirty = (m: Occasion) => inWater(m, 'dirty', 'mud')
export const isMud = (m: Occasion) => inWater(m, 'mud')

export const isFrog = (m: Occasion) => is(m, 'walking-frog', 'popping-frog')
export const isPlug = (m: Occasion) => is(m, 'walking-topwater', 'popper', 'buzzbait')
