import { finishById } from '#core/lure/finish'
import { LURES, type LureId } from '#core/lure/types'
import { rounded } from '#core/numeric/rounded'
import type { Request } from '#core/request/request'
import { type Effect, LEAST, type Level, SURE, moreNeeded, timesOf } from '#core/season-learning/effect'
import type { Cell, Stratum } from '#core/season-learning/log'
import type { Prepared } from '#core/season-learning/prepared'
import { PRIORS, type RigFit, type LinearSum, covariatesOf, rowOf, sumOf } from '#core/season-learning/rigs'
import type { UnitSystem } from '#core/units'
import { type Sentence, said } from '#core/words/sentence'

/** A table misleads where its leader does so much better by it than beside other rods. */
const MISLEADS = 1.15
const scaledRow = (row: LinearSum, k: number): LinearSum => row.map(e => ({ at: e.at, value: k * e.value }))

/** How long and how often each of something was fished, over all strata. */
interface Tally {
  minutes: number
  bites: number
  compared: number
}

function tallies(strata: readonly Stratum[], compared: readonly Stratum[], keyOf: (c: Cell) => string) {
  const out = new Map<string, Tally>()
  const add = (of: readonly Stratum[], put: (t: Tally, c: Cell) => void) => {
    for (const { cells } of of)
      for (const c of cells) {
        const t = out.get(keyOf(c)) ?? { minutes: 0, bites: 0, compared: 0 }
        out.set(keyOf(c), t)
        put(t, c)
      }
  }
  add(strata, (t, c) => {
    t.minutes += c.minutes
    t.bites += c.bites
  })
  add(compared, (t, c) => (t.compared += c.bites))
  return out
}

/** Finishes, looks, families and lures, from rods compared. */
export function rigEffects(log: Prepared, fit: RigFit, levels: ReadonlySet<Level>, units: UnitSystem) {
  const { strata, compared, standsOf, looks } = log
  const byFinish = tallies(strata, compared, c => c.finishId)
  const byLure = tallies(strata, compared, c => c.lure)
  const lures = [...byLure.keys()].sort() as LureId[]
  const effects: Effect[] = []
  const misleading: { finish: string; plain: number; times: number }[] = []
  const effect = (
    level: Level,
    id: string,
    within: string | null,
    row: LinearSum,
    t: Tally,
    plainTimes: number | null,
    name: string,
    lureBites: number,
  ): Effect => {
    const sum = sumOf(fit, row)
    const shown = timesOf(sum)
    const prior = PRIORS.slope.mean * row.filter(e => e.at === 0).reduce((s, e) => s + e.value, 0)
    const moreBites = moreNeeded(lureBites, sum.mean, sum.sd)
    const mayBeSaid = t.minutes >= 60 * LEAST.hours && lureBites >= LEAST.lureBites
    const params = { ...shown, bites: t.compared, more: moreBites }
    const sentence: Sentence =
      level === 'finish'
        ? { code: 'season.finish', params: { ...params, finish: name, lure: within as LureId } }
        : { code: 'season.group', params: { ...params, name } }
    return {
      level,
      id,
      within,
      ...shown,
      priorTimes: rounded(Math.exp(prior), 4),
      plainTimes,
      hours: rounded(t.minutes / 60, 2),
      bites: t.bites,
      comparedBites: t.compared,
      moreBites,
      says: mayBeSaid ? said(sentence, units) : null,
    }
  }
  const lureRows = new Map<LureId, LinearSum>()
  for (const lure of lures) {
    const ids = [...new Set(strata.flatMap(s => s.cells.filter(c => c.lure === lure).map(c => c.finishId)))].sort()
    const moments = momentsOf(strata, lure)
    const rows = new Map(ids.map(id => [id, meanRow(fit, lure, id, moments, standsOf)]))
    const middle = ids.flatMap(id => scaledRow(rows.get(id)!, -1 / ids.length))
    const lureBites = byLure.get(lure)!.compared
    const rate = (t: Tally) => (60 * t.bites) / Math.max(1, t.minutes)
    const plainOf = (id: string) => {
      const mine = byFinish.get(id)!
      const all = byLure.get(lure)!
      const others = { minutes: all.minutes - mine.minutes, bites: all.bites - mine.bites, compared: 0 }
      return others.minutes > 0 && others.bites > 0 ? rounded(rate(mine) / rate(others), 4) : null
    }
    const finishes = ids.map(id =>
      effect(
        'finish',
        id,
        lure,
        [...rows.get(id)!, ...middle],
        byFinish.get(id)!,
        plainOf(id),
        finishById(id)?.name ?? id,
        lureBites,
      ),
    )
    if (levels.has('finish')) effects.push(...finishes)
    const leader = finishes.filter(f => f.says).reduce<Effect | null>((a, b) => (a && rateAbove(a, b) ? a : b), null)
    if (leader?.plainTimes && leader.chanceBetter < SURE && leader.plainTimes > MISLEADS * leader.times)
      misleading.push({
        finish: finishById(leader.id)?.name ?? leader.id,
        plain: leader.plainTimes,
        times: leader.times,
      })
    const grouped = (level: Level, keysOf: (id: string) => string[], nameOf: (key: string) => string) => {
      const keys = [...new Set(ids.flatMap(keysOf))].sort()
      for (const key of keys) {
        const of = ids.filter(id => keysOf(id).includes(key))
        if (level === 'look' && of.length < 2) continue
        const t = of
          .map(id => byFinish.get(id)!)
          .reduce((a, b) => ({
            minutes: a.minutes + b.minutes,
            bites: a.bites + b.bites,
            compared: a.compared + b.compared,
          }))
        const row = [...of.flatMap(id => scaledRow(rows.get(id)!, 1 / of.length)), ...middle]
        effects.push(effect(level, key, lure, row, t, null, nameOf(key), lureBites))
      }
    }
    if (levels.has('look'))
      grouped(
        'look',
        id => (looks.has(id) ? [looks.get(id)!] : []),
        key =>
          ids
            .filter(id => looks.get(id) === key)
            .map(id => finishById(id)?.name ?? id)
            .join(' or '),
      )
    if (levels.has('family'))
      grouped(
        'family',
        id => (finishById(id)?.families ?? []).slice(0, 1),
        key => key,
      )
    const at = fit.layout.lures.get(lure)
    if (at !== undefined) lureRows.set(lure, [{ at, value: 1 }])
  }
  if (levels.has('lure') && lureRows.size > 1)
    for (const [lure, row] of lureRows) {
      const others = [...lureRows.values()].flatMap(r => scaledRow(r, -1 / lureRows.size))
      const t = byLure.get(lure)!
      effects.push(effect('lure', lure, null, [...row, ...others], t, null, LURES[lure].words, t.compared))
    }
  return { effects, misleading }
}

const rateAbove = (a: Effect, b: Effect) => a.bites / Math.max(0.01, a.hours) >= b.bites / Math.max(0.01, b.hours)

/** Moments in which a lure was in hand, with how long, minutes. */
function momentsOf(strata: readonly Stratum[], lure: LureId): { asked: Request; minutes: number }[] {
  return strata.flatMap(s => s.cells.filter(c => c.lure === lure).flatMap(c => c.fished))
}

/** What a finish's effect is the sum of, its covariates averaged over the moments its lure was fished in. */
function meanRow(
  fit: RigFit,
  lure: LureId,
  finishId: string,
  moments: readonly { asked: Request; minutes: number }[],
  standsOf: Prepared['standsOf'],
): LinearSum {
  const z = covariatesOf({ lure, finishId, bites: 0, exposure: 0, minutes: 0, fished: [...moments] }, standsOf)
  return rowOf({ ...fit.layout, lures: new Map() }, { lure, finishId }, z)
}
