import { nameSaid } from '#core/lure/finish'
import type { Judged } from '#core/ranking/judge'
import type { Moment } from '#core/schools/school'
import type { Sentence } from '#core/words/sentence'

/** Picks from the top of the list that may be set against each other. */
const CONSIDERED = 12
/** A lead smaller than this, either way, is no turning. */
const PLAIN_LEAD = 1.12

/** With the sun lower than this, degrees, what beam there is comes from the moon. */
const MOON_LIGHTS_DEG = -6

/**
 * Where the way the fish looks decides between two of the best: one that shows farther to a fish with the sun at its
 * back, another to a fish that looks into it. Null where neither wins plainly, or no sun comes through.
 */
export function turningOf(ranked: readonly Judged[], { scene, conditions: c }: Moment): Sentence | null {
  const { ways } = scene.stage
  if (ways.toward === ways.across) return null
  const best = ranked.slice(0, CONSIDERED)
  let found: { inFace: Judged; atBack: Judged; times: number; lead: number } | null = null
  for (const inFace of best) {
    for (const atBack of best) {
      const [a, b] = [inFace.sight.headings, atBack.sight.headings]
      const times = a.away.sightM / b.away.sightM
      const back = b.toward.sightM / a.toward.sightM
      const lead = Math.min(times, back)
      if (lead > PLAIN_LEAD && lead > (found?.lead ?? 0)) found = { inFace, atBack, times, lead }
    }
  }
  if (!found) return null
  const { inFace, atBack, times } = found
  const moon = c.sunElevationDeg < MOON_LIGHTS_DEG
  return {
    code: 'sun.turns',
    params: { inFace: nameSaid(inFace.finish), atBack: nameSaid(atBack.finish), times, moon },
  }
}
