import type { Conflict } from '#core/evidence/answer'
import type { Posterior } from '#core/evidence/whichWater'
import type { ReadingKind } from '#core/water/readingKinds'
import type { UnitSystem } from '#core/units'
import { said } from '#core/words/sentence'

/** Two readings clash where the water that suits both best is as far from what suits each, in errors squared. */
const CLASH = 9
/** A reading is at odds with every water where the nearest is as far off as this. */
const ALIEN = 12

/** Readings that no one water explains, each pair once, and those that no water explains at all. */
export function conflictsOf({ waters, evidence }: Posterior, units: UnitSystem): Conflict[] {
  const best = evidence.map(({ miss }) => {
    let least = Infinity
    for (let w = 0; w < waters.count; w++) if (waters.prior[w]! > 0 && miss[w]! < least) least = miss[w]!
    return least
  })
  /** Whether some water suits both about as well as it can suit either. */
  const agree = (i: number, j: number) => {
    const [a, b] = [evidence[i]!.miss, evidence[j]!.miss]
    const most = CLASH + best[i]! + best[j]!
    for (let w = 0; w < waters.count; w++) if (a[w]! + b[w]! <= most && waters.prior[w]! > 0) return true
    return false
  }
  const out: Conflict[] = []
  const path = (i: number) => `readings.${i}`
  evidence.forEach((a, i) => {
    if (best[i]! > ALIEN) {
      out.push({ paths: [path(i)], ...said({ code: 'reading.alien', params: { kind: a.kind } }, units) })
      return
    }
    for (let j = i + 1; j < evidence.length; j++) {
      if (best[j]! > ALIEN || agree(i, j)) continue
      const kinds: [ReadingKind, ReadingKind] = [a.kind, evidence[j]!.kind]
      out.push({ paths: [path(i), path(j)], ...said({ code: 'reading.clash', params: { kinds } }, units) })
    }
  })
  return out
}
