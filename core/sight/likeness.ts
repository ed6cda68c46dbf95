import { type Measured, apartJnd } from '#core/sight/measure'

/**
 * Finishes by what they look like to the fish where it is: each within one just-noticeable difference of the first of
 * its look. Works down the list in the order given (best first), so it grows with the number of finishes times the
 * number of looks, which the eye keeps small.
 */
export function looksOf<M extends Measured>(finishes: readonly M[]): M[][] {
  const looks: M[][] = []
  for (const m of finishes) {
    const home = looks.find(g => apartJnd(g[0]!, m) < 1)
    if (home) home.push(m)
    else looks.push([m])
  }
  return looks
}

/** The looks that more than one finish shares: groups a fish cannot tell apart. */
export const lookAlikeGroups = <M extends Measured>(finishes: readonly M[]): M[][] =>
  looksOf(finishes).filter(g => g.length > 1)
