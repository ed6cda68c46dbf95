import { livesIn, shareOf } from '#core/prey/odds'
import type { Moment, Point } from '#core/schools/school'
import { BACKGROUNDS } from '#core/sight/backgrounds'
import { type Measured, firstFamily } from '#core/sight/measure'
import { plainly } from '#core/words/sentence'

/** What a colour the spot has already been shown today loses: as the leading colour, or as one of several. */
const SHOWN = { leading: -1.2, partly: -0.4 }

/** Penalty for what the fish have already been shown. */
function shownToday(m: Measured, { conditions: c }: Moment): Point | null {
  const seen = c.fishedThrough
  const says = () => plainly('shown-today')
  if (seen.includes(firstFamily(m))) return { effect: SHOWN.leading, says }
  return m.finish.families.some(f => seen.includes(f)) ? { effect: SHOWN.partly, says } : null
}

/** What a pattern painted after food that cannot live here, or is not in the water's list, loses. */
const ABSENT = -1.3
/** The same where it lives here, only is not what they are eating by the angler's own word. */
const NOT_EATEN = -0.3

/** What it loses where the food is rarer than this share, the more the rarer. */
const RARE = { share: 0.04, effect: -0.3 } as const

function absentPrey({ finish }: Measured, { conditions: c }: Moment): Point | null {
  const prey = finish.mimics
  if (!prey) return null
  const share = shareOf(c.prey.shares, prey)
  if (share > 0) {
    const rare = 1 - share / RARE.share
    return rare > 0 ? { effect: RARE.effect * rare, says: () => ({ code: 'prey.rare', params: { prey } }) } : null
  }
  return c.prey.from === 'given' && livesIn(prey, c.salinity)
    ? { effect: NOT_EATEN, says: () => ({ code: 'prey.not-eaten', params: { prey } }) }
    : { effect: ABSENT, says: () => ({ code: 'prey.absent', params: { prey } }) }
}

/** What a back that the angler can follow is worth at its best: in low light or over weed. */
const FOLLOWED = 0.12
/** A back seen from this far is as good as any, m. */
const FAR_ENOUGH_M = 40

function followed(m: Measured, { conditions: c, grades }: Moment): Point | null {
  if (m.anglerM === null || c.school !== 'balanced') return null
  const need = Math.max(grades.dim, BACKGROUNDS[c.background].kind === 'weed' ? 0.7 : 0)
  const seen = Math.min(1, m.anglerM / FAR_ENOUGH_M)
  const anglerM = m.anglerM
  return need * seen > 0
    ? { effect: FOLLOWED * need * seen, says: () => ({ code: 'angler.follows', params: { anglerM } }) }
    : null
}

/** What speaks for or against a finish whatever school one holds with. */
export const beyondSchools = (m: Measured, moment: Moment): Point[] =>
  [shownToday(m, moment), absentPrey(m, moment), followed(m, moment)].filter(p => p !== null)
