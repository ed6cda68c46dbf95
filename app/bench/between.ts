import { mixed } from '~/figures/tone'
import type { SeenOut } from '~/water/seen'

/** A look at any distance out of looks at some, the nearest two mixed. */
export function seenAt(list: readonly SeenOut[], distancesM: readonly number[], m: number, goneM: number): SeenOut {
  const above = distancesM.findIndex(d => d >= m)
  const i = Math.max(1, above < 0 ? distancesM.length - 1 : above)
  const [a, b] = [list[i - 1]!, list[i]!]
  const [near, far] = [distancesM[i - 1]!, distancesM[i]!]
  const t = Math.min(1, Math.max(0, Math.log(m / near) / Math.log(far / near)))
  const parts = Object.fromEntries(
    Object.entries(a.parts).map(([p, c]) => [p, mixed(c, b.parts[p as keyof typeof b.parts] ?? c, t)]),
  )
  return {
    distanceM: m,
    shape: m <= goneM,
    fine: a.fine + (b.fine - a.fine) * t,
    water: mixed(a.water, b.water, t),
    parts,
  }
}
