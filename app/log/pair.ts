import { knownFinish } from '#core/box/own'
import { type Finish, finishById, finishesOf } from '#core/lure/finish'
import { LURES, type LureId } from '#core/lure/types'
import type { Difference, Rod } from '#shared/schema/record'

/** The colour of one lure on another: the pattern of the same name, else the one that shares most with it. */
export function sameColour(finish: Finish, lure: LureId): Finish {
  const pattern = (f: Finish) => f.id.slice(f.id.indexOf('.') + 1)
  const all = finishesOf(lure)
  const shared = (f: Finish) =>
    f.families.filter(x => finish.families.includes(x)).length / Math.max(f.families.length, finish.families.length) +
    (f.traits.tone === finish.traits.tone ? 0.2 : 0)
  return all.find(f => pattern(f) === pattern(finish)) ?? all.reduce((best, f) => (shared(f) > shared(best) ? f : best))
}

const plain = (text = '') => text.trim().toLowerCase()

/** What differs between two rods. Another lure in the colour that is likest is one difference, not two. */
export function differences(a: Rod, b: Rod): Difference[] {
  const alike = (x: Rod, y: Rod) => sameColour(finishById(x.finishId)!, y.lure).id === y.finishId
  const finish = a.lure === b.lure ? a.finishId !== b.finishId : !alike(a, b) && !alike(b, a)
  const differs: Record<Difference, boolean> = {
    finish,
    lure: a.lure !== b.lure,
    line: plain(a.line) !== plain(b.line),
    size: plain(a.size) !== plain(b.size),
  }
  return (Object.keys(differs) as Difference[]).filter(d => differs[d])
}

/** A rod by what sets it apart from its like. */
export function rodWords(rod: Rod, differs: Difference): string {
  if (differs === 'line') return rod.line || 'Line not said'
  if (differs === 'size') return rod.size || 'Size not said'
  return differs === 'lure' ? LURES[rod.lure].words : (knownFinish(rod.finishId)?.name ?? rod.finishId)
}

/** Two rods for a test of one thing, from the first of them: the second is made to differ in that and nothing else. */
export function pairFor(differs: Difference, a: Rod, b: Rod | undefined): [Rod, Rod] {
  const like: Rod = { ...a }
  if (differs === 'finish') {
    const others = finishesOf(a.lure).filter(f => f.id !== a.finishId)
    const wanted = others.find(f => f.id === b?.finishId) ?? others[0]!
    return [a, { ...like, finishId: wanted.id }]
  }
  if (differs === 'lure') {
    const others = (Object.keys(LURES) as LureId[]).filter(l => l !== a.lure)
    const lure = others.find(l => l === b?.lure) ?? others[0]!
    return [a, { ...like, lure, finishId: sameColour(finishById(a.finishId)!, lure).id }]
  }
  return [a, { ...like, [differs]: b?.[differs] ?? '' }]
}
