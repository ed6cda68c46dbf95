import { clarityWord } from '#core/water/words'
import { SCHOOL_IDS, type SchoolId } from '#core/words/schools'
import { type Sentence, codeOf, plainly, say } from '#core/words/sentence'
import { lureType } from '#core/lure/types'
import type { RodOut, Role } from '#core/ranking/answer'
import type { Judge, Judged } from '#core/ranking/judge'
import { finishOut } from '#core/ranking/finishOut'
import type { Moment } from '#core/schools/school'
import { type Measured, apartJnd, firstFamily } from '#core/sight/measure'

/**
 * Two finishes differ in kind when the fish can tell them apart plainly and an angler would call them by another
 * colour or tone.
 */
const PLAINLY_JND = 3

/** Families an angler takes for one another. */
const KIN: readonly (readonly string[])[] = [
  ['white', 'pearl', 'bone'],
  ['silver', 'grey'],
  ['black', 'blue', 'purple'],
  ['gold', 'copper'],
  ['clear', 'smoke'],
  ['olive', 'green'],
  ['brown', 'tan'],
  ['chartreuse', 'yellow'],
  ['orange', 'red', 'pink'],
]
const kin = (m: Measured) => KIN.findIndex(k => k.includes(firstFamily(m)))

/**
 * How different in kind: 0 the same, 1 to the fish and the angler plainly another. Where nothing can be told apart,
 * tone decides.
 */
export function differs(a: Measured, b: Measured): number {
  if (kin(a) === kin(b)) return 0
  const apart = Math.max(0.6, Math.min(1, apartJnd(a, b) / PLAINLY_JND))
  const tone =
    a.finish.traits.tone !== b.finish.traits.tone ||
    a.finish.traits.vivid !== b.finish.traits.vivid ||
    a.finish.traits.opacity !== b.finish.traits.opacity
  return apart * (tone ? 1 : 0.7)
}

/** Least difference in kind for two rods of one rotation, as long as the box has anything that different. */
const ENOUGH = 0.5

/** Whether the fish takes two finishes for one; `grouped` asks only whether they stand in one group of look-alikes. */
export type Twins = (a: Measured, b: Measured, grouped?: boolean) => boolean

/** Finishes that stand in one group of look-alikes, or lie within one just-noticeable difference, are twins. */
export function twinsOf(alike: readonly (readonly Measured[])[]): Twins {
  const group = new Map(alike.flatMap((g, i) => g.map(m => [m.finish.id, i] as const)))
  return (a, b, grouped = false) => {
    const home = group.get(a.finish.id)
    return (home !== undefined && home === group.get(b.finish.id)) || (!grouped && apartJnd(a, b) < 1)
  }
}

/**
 * Best of the finishes that the fish can tell from those already rigged and that differ enough in kind, or of the most
 * different there are; ties keep the order given. Where it can tell none from them all, one of another group will do,
 * and where the water hides everything, any.
 */
function bestUnlike(
  list: readonly Judged[],
  rigged: readonly Judged[],
  twins: Twins,
  value: (j: Judged) => number,
): Judged {
  const unlike = (j: Judged) => Math.min(...rigged.map(r => differs(j, r)))
  const rest = list.filter(j => !rigged.includes(j))
  const apart = (grouped: boolean) => rest.filter(j => !rigged.some(r => twins(j, r, grouped)))
  const from = [apart(false), apart(true), rest].find(list => list.length > 0)!
  const least = Math.min(ENOUGH, Math.max(...from.map(unlike)))
  return from.filter(j => unlike(j) >= least).reduce((top, j) => (value(j) > value(top) ? j : top))
}

const stance = (j: Judged, id: SchoolId) => j.stances[id].value

/** What speaks for a finish, and is not contradicted by the optics. */
export const goodReasons = (j: Judged, judge: Judge): { effect: number; says: Sentence }[] =>
  j.because
    .filter(b => b.effect > 0 && !(b.custom && judge.verdict(b.custom) === 'contradicts'))
    .map(({ effect, says }) => ({ effect, says: says() }))

/** What speaks most for a finish. */
export function bestReason(j: Judged, judge: Judge): Sentence {
  const all = goodReasons(j, judge)
  // That it is as light as their food is said where there is nothing better to say.
  const telling = all.filter(g => g.says.code !== 'match.tone')
  const good = telling.length ? telling : all
  return good.length ? good.reduce((a, b) => (b.effect > a.effect ? b : a)).says : plainly('rod.best')
}

/**
 * Three rods that differ in kind: the first pick; a switch that is good and different; and an odd one for when both
 * are refused, picked for being unlike both and for provoking.
 */
export function rotationOf(ranked: readonly Judged[], moment: Moment, twins: Twins, judge: Judge): RodOut[] {
  const { units } = moment.conditions
  const first = ranked[0]!
  const second = bestUnlike(ranked, [first], twins, j => j.score + 0.2 * differs(j, first))
  const third = bestUnlike(
    ranked,
    [first, second],
    twins,
    j => 0.35 * j.score + 0.5 * stance(j, 'reaction') + 0.2 * stance(j, 'contrast') + suits(j, moment),
  )
  const rod = (role: Role, j: Judged, why: Sentence, when: Sentence): RodOut => ({
    role,
    finishId: j.finish.id,
    finish: finishOut(j.finish),
    why: say(why, units),
    when: say(when, units),
    says: { why: codeOf(why), when: codeOf(when) },
  })
  return [
    rod(
      'first',
      first,
      bestReason(first, judge),
      plainly(isCompromise(first, ranked) ? 'rod.start-between' : 'rod.start'),
    ),
    rod(
      'switch',
      second,
      twins(second, first) ? hidden(second, moment) : differenceOf(second, first),
      plainly(moment.grades.slow >= 1 ? 'rod.after-casts' : 'rod.after-minutes'),
    ),
    rod(
      'odd',
      third,
      twins(third, first) || twins(third, second) ? hidden(third, moment) : unlikeBoth(third),
      plainly('rod.when-refused'),
    ),
  ]
}

/** What the third rod is not, or is above all, in some waters: no quiet green in mud; the dark spoon of the winter. */
function suits(j: Judged, { conditions: c }: Moment): number {
  const isQuietGreen = j.finish.families[0] === 'olive'
  if (isQuietGreen && clarityWord(c.visibilityM) === 'mud') return -1
  const isDarkSpoon = c.lure === 'jigging-spoon' && j.finish.traits.tone === 'dark'
  return isDarkSpoon && c.phase === 'winter' ? 1 : 0
}

/** A first pick counts as a school's where it is among so many of its own. */
const FIRST_FEW = 5
/** Whether the first pick is among no school's first few: what all can live with. */
const isCompromise = (first: Judged, ranked: readonly Judged[]) =>
  SCHOOL_IDS.every(id => ranked.filter(j => stance(j, id) > stance(first, id)).length >= FIRST_FEW)

/** Where the water hides every difference of colour: what else there is to change. */
const hidden = (m: Measured, { conditions: c }: Moment): Sentence => ({
  code: 'rod.water-hides',
  params: { tone: m.finish.traits.tone, loud: lureType(c.lure).powers.includes('rattles') },
})

function unlikeBoth(m: Measured): Sentence {
  const { tone, vivid, opacity, flash } = m.finish.traits
  const params = { tone, vivid, seeThrough: opacity === 'translucent', flashing: flash === 'high' }
  return { code: 'rod.unlike-both', params }
}

/** The plainest way in which a finish differs from another. */
function differenceOf(m: Measured, from: Measured): Sentence {
  const a = m.finish.traits
  const b = from.finish.traits
  if (a.tone !== b.tone) return { code: 'rod.other-tone', params: { tone: a.tone } }
  if (a.flash !== b.flash) return plainly(a.flash === 'high' ? 'rod.flashes' : 'rod.keeps-still')
  if (a.opacity !== b.opacity) return plainly(a.opacity === 'opaque' ? 'rod.solid' : 'rod.see-through')
  if (a.vivid !== b.vivid) return plainly(a.vivid ? 'rod.louder' : 'rod.quieter')
  return plainly('rod.another-colour')
}
