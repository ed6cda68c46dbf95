import { type Measured, apartJnd } from '#core/sight/measure'

/**
 * Groups of finishes a fish cannot tell apart where it is: each within one just-noticeable difference of the group's
 * first. Works down the list in the order given (best first), sorting into groups by their first member, so it grows
 * with the number of finishes times the number of groups, which the eye keeps small.
 */
export function lookAlikeGroups(finishes: readonly Measured[]): Measured[][] {
  const groups: Measured[][] = []
  for (const m of finishes) {
    const home = groups.find(g => apartJnd(g[0]!, m) < 1)
    if (home) home.push(m)
    else groups.push([m])
  }
  return groups.filter(g => g.length > 1)
}
