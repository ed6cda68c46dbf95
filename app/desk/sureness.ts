import type { TintId } from '#core/water/tints'
import type { FirstIn } from '#core/ranking/byReadings'

/** A pick, in how many of a hundred waters it comes first, and the tint that most of these are of. */
export interface FirstShare {
  finishId: string
  of100: number
  tint: TintId
}
export interface Sureness {
  /** Share of the waters in which the pick comes first or shares the place, of 100. */
  of100: number
  /** What comes first elsewhere, oftenest first. */
  others: FirstShare[]
}

function groupedBy<T, K>(list: readonly T[], key: (of: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const one of list) groups.set(key(one), [...(groups.get(key(one)) ?? []), one])
  return groups
}

/** How far a pick hangs on which water it is, from what comes first in each that the readings allow. */
export function surenessOf(pick: string, firsts: readonly FirstIn[]): Sureness {
  const total = firsts.reduce((s, f) => s + f.water.share, 0) || 1
  const shareOf = (some: readonly FirstIn[]) => some.reduce((s, f) => s + f.water.share, 0) / total
  const elsewhere = groupedBy(
    firsts.filter(f => !f.shared.includes(pick)),
    f => f.first,
  )
  const others = [...elsewhere].map(([finishId, some]) => {
    const tints = [...groupedBy(some, f => f.water.tint)].map(([tint, of]) => ({ tint, share: shareOf(of) }))
    const most = tints.reduce((a, b) => (b.share > a.share ? b : a))
    return { finishId, of100: Math.round(100 * shareOf(some)), tint: most.tint }
  })
  return {
    of100: Math.round(100 * shareOf(firsts.filter(f => f.shared.includes(pick)))),
    others: others.filter(o => o.of100 > 0).sort((a, b) => b.of100 - a.of100),
  }
}
