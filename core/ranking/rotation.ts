import type { SchoolId } from '#core/conditions/schools'
import type { RodOut, Role } from '#core/ranking/answer'
import type { Judged } from '#core/ranking/judge'
import { finishOut } from '#core/ranking/finishOut'
import type { Moment } from '#core/schools/school'
import { type Measured, apartJnd, firstFamily } from '#core/sight/measure'

/** Two finishes differ in kind when the fish can tell them apart plainly and an angler would call them by another colour or tone. */
const PLAINLY_JND = 3

/** Families an angler takes for one another. */
const KIN: readonly (readonly string[])[] = [['white', 'pearl', 'bone'], ['silver', 'grey'], ['black', 'blue', 'purple'], ['gold', 'copper'], ['clear', 'smoke'], ['olive', 'green'], ['brown', 'tan'], ['chartreuse', 'yellow'], ['orange', 'red', 'pink']]
const kin = (m: Measured) => KIN.findIndex(k => k.includes(firstFamily(m)))

/** How different in kind: 0 the same, 1 to the fish and the angler plainly another. Where nothing can be told apart, tone decides. */
export function differs(a: Measured, b: Measured): number {
  if (kin(a) === kin(b)) return 0
  // Where the water hides everything, what is left to differ in is tone.
  const apart = Math.max(0.6, Math.min(1, apartJnd(a, b) / PLAINLY_JND))
  const tone = a.finish.traits.tone !== b.finish.traits.tone || a.finish.traits.vivid !== b.finish.traits.vivid || a.finish.traits.opacity !== b.finish.traits.opacity
  return apart * (tone ? 1 : 0.7)
}

/** Least difference in kind for two rods of one rotation, as long as the box has anything that different. */
const ENOUGH = 0.5

/** Best of the finishes that differ enough from those already rigged, or of the most different there are; ties keep the order given. */
function bestUnlike(list: readonly Judged[], rigged: readonly Judged[], value: (j: Judged) => number): Judged {
  const unlike = (j: Judged) => Math.min(...rigged.map(r => differs(j, r)))
  const rest = list.filter(j => !rigged.includes(j))
  const least = Math.min(ENOUGH, Math.max(...rest.map(unlike)))
  return rest.filter(j => unlike(j) >= least).reduce((top, j) => value(j) > value(top) ? j : top)
}

const opinion = (j: Judged, id: SchoolId) => j.opinions[id].value

/**
 * Three rods that differ in kind: the first pick; a switch that is good and different; and an odd one for when both are refused,
 * picked for being unlike both and for provoking.
 */
export function rotationOf(ranked: readonly Judged[], moment: Moment): RodOut[] {
  const first = ranked[0]!
  const second = bestUnlike(ranked, [first], j => j.score + 0.2 * differs(j, first))
  const third = bestUnlike(ranked, [first, second], j => 0.35 * j.score + 0.5 * opinion(j, 'reaction') + 0.2 * opinion(j, 'contrast'))
  const slow = moment.facts.slow >= 1
  const spell = slow ? '20 quiet casts' : '15 quiet minutes'
  const rods: [Role, Judged, string, string][] = [
    ['first', first, first.because.filter(b => b.effect > 0).sort((a, b) => b.effect - a.effect)[0]?.text() ?? 'The best of the box here.', 'Start here.'],
    ['switch', second, differenceWords(second, first), `After ${spell}, or when they follow and turn away.`],
    ['odd', third, `Unlike both: ${toneWords(third)}.`, 'When both are refused.'],
  ]
  return rods.map(([role, j, why, when]) => ({ role, finishId: j.finish.id, finish: finishOut(j.finish), why, when }))
}

function toneWords(m: Measured): string {
  const { tone, vivid, opacity, flash } = m.finish.traits
  return [vivid ? 'loud' : null, opacity === 'translucent' ? 'see-through' : tone === 'light' ? 'pale' : tone === 'dark' ? 'dark' : 'middling', flash === 'high' ? 'flashing' : null].filter(Boolean).join(', ')
}

function differenceWords(m: Measured, from: Measured): string {
  const a = m.finish.traits
  const b = from.finish.traits
  if (a.tone !== b.tone) return `${a.tone === 'light' ? 'Paler' : a.tone === 'dark' ? 'Darker' : 'Between light and dark'} than the first, so it makes another shape.`
  if (a.flash !== b.flash) return a.flash === 'high' ? 'Flashes where the first does not.' : 'Keeps still where the first flashes.'
  if (a.opacity !== b.opacity) return a.opacity === 'opaque' ? 'Solid where the first is see-through.' : 'See-through where the first is solid.'
  if (a.vivid !== b.vivid) return a.vivid ? 'Louder than the first.' : 'Quieter than the first.'
  return 'Another colour to the fish, as good in the main.'
}
