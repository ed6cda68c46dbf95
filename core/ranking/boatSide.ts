import { type Traits, lightness } from '#core/lure/finish'
import { lureType } from '#core/lure/types'
import type { Judged } from '#core/ranking/judge'
import { vanishingDepthM } from '#core/reading/disc'
import type { Moment } from '#core/schools/school'
import { type Sentence, plainly } from '#core/words/sentence'

/** What a mirror, and what a see-through coat, sends up to an eye above, beside matte paint of its lightness; ours. */
const SENDS_UP = { mirror: 0.35, pass: 0.25 } as const

/**
 * What the pick should do when it is let down beside the boat, and where a person should lose it: what it sends up
 * against the water below, by the same law as the white disc. Null at night and for lures that stay on top.
 */
export function boatSideOf(first: Judged, { scene, grades, conditions: c }: Moment): Sentence | null {
  if (grades.night > 0.2 || lureType(c.lure).surface) return null
  const { traits, parts } = first.finish
  const seen = parts.filter(p => p.part !== 'hook' && p.part !== 'belly' && p.part !== 'chin')
  const total = seen.reduce((s, p) => s + p.share, 0)
  const level = seen.reduce((s, { share, optics }) => {
    const up = lightness(optics.reflect) + SENDS_UP.mirror * lightness(optics.mirror)
    return s + (share / total) * (up + SENDS_UP.pass * lightness(optics.transmit))
  }, 0)
  const lostM = vanishingDepthM(scene.column, level)
  return { code: 'boat-side', params: { look: lookOf(traits), lostM } }
}

/** What a person sees of it first. */
function lookOf({ opacity, flash, vivid, tone }: Traits) {
  if (opacity === 'translucent') return 'vanish'
  if (flash === 'high') return 'flash'
  if (vivid) return 'glow'
  return ({ light: 'pale', mid: 'middling', dark: 'dark' } as const)[tone]
}

/** What to change once colour has had its chance: sound where the lure has one to choose, else size, then speed. */
export const nextOf = ({ conditions: c }: Moment): Sentence =>
  plainly(lureType(c.lure).powers.includes('rattles') ? 'next.sound' : 'next.size')
