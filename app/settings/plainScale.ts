import type { Scale } from './useUnits'

/** A number in a unit that is the same for every angler; `per` of it to one inside. */
export const plainScale = (unit: string, decimals: number, per = 1): Scale => ({
  of: 'number',
  unit,
  step: 10 ** -decimals,
  decimals,
  show: v => v * per,
  read: v => v / per,
})
