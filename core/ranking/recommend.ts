import { rounded } from '#core/numeric/rounded'
import { resolve } from '#core/request/resolve'
import { gradesOf } from '#core/request/grades'
import type { Request } from '#core/request/request'
import { SCHOOL_IDS, type SchoolId } from '#core/words/schools'
import { type Finish, finishesOf } from '#core/lure/finish'
import { advisoriesOf } from '#core/rules/advisories'
import type { Answer, Ranked } from '#core/ranking/answer'
import { boatSideOf, nextOf } from '#core/ranking/boatSide'
import { closeCallOf, placesOf } from '#core/ranking/closeCall'
import { colourMattersOf } from '#core/ranking/colourMatters'
import { disagreementsOf } from '#core/ranking/disagreements'
import { dressUpsOf } from '#core/ranking/dressUps'
import { finishOut } from '#core/ranking/finishOut'
import { type Judge, type Judged, type Lean, prepareJudge } from '#core/ranking/judge'
import { reasonsOf } from '#core/ranking/reasons'
import { rotationOf, twinsOf } from '#core/ranking/rotation'
import { MEASURES, type Measure, type Moment, spreadOf } from '#core/schools/school'
import { lookAlikeGroups } from '#core/sight/likeness'
import { turningOf } from '#core/ranking/turning'
import { type Measured, type PreyLook, measure, preyLooks } from '#core/sight/measure'
import { buildScene } from '#core/sight/scene'
import { said } from '#core/words/sentence'

/** A ranking with its working still attached, for the screen. */
export interface Worked {
  moment: Moment
  prey: readonly PreyLook[]
  judge: Judge
  ranked: readonly Judged[]
  /** The place of each, shared where the scores are too close to call. */
  places: readonly number[]
}

/**
 * Rank every finish of the lure. Ties and near-ties are settled by id, so the catalogue's order never shows.
 * @param own finishes beside the catalogue's, of any lure. They are held against the catalogue's spread and have no
 * part in it: what an angler owns changes nothing for the others.
 * @param lean how far an angler's log shifts the weights of the schools, in balance
 */
export function rank(request: Request, own: readonly Finish[] = [], lean: Lean = {}): Worked {
  const conditions = resolve(request)
  const scene = buildScene(conditions.scene)
  const prey = preyLooks(scene, conditions.food)
  const measured: Measured[] = finishesOf(conditions.lure).map(f => measure(f, scene, prey))
  const moment: Moment = {
    conditions,
    scene,
    grades: gradesOf(conditions, scene.sky),
    field: Object.fromEntries(
      (Object.keys(MEASURES) as Measure[]).map(k => [k, spreadOf(measured, k)]),
    ) as Moment['field'],
  }
  const judge = prepareJudge(moment, measured, lean)
  const extra = own.filter(f => f.lure === conditions.lure && !measured.some(m => m.finish === f))
  const all = [...measured, ...extra.map(f => measure(f, scene, prey))]
  const ranked = all.map(judge.judge).sort((a, b) => b.score - a.score || (a.finish.id < b.finish.id ? -1 : 1))
  return { moment, prey, judge, ranked, places: placesOf(ranked) }
}

/** The first finish of a lure's ranking, with how far it and its colour show, m. */
export function bestOf(request: Request): { finish: { id: string; name: string }; sightM: number; colourM: number } {
  const { finish, sightM, colourM } = rank(request).ranked[0]!
  return { finish: { id: finish.id, name: finish.name }, sightM, colourM }
}

const sides = (j: Judged, key: 'sightM' | 'colourM') => ({
  level: rounded(j.sight.level[key]),
  below: rounded(j.sight.below[key]),
  above: rounded(j.sight.above[key]),
})

/** The finish at an index of the ranking in the contract's shape. */
export function rankedOut({ ranked, judge, moment, places }: Worked, index: number): Ranked {
  const j = ranked[index]!
  return {
    rank: index + 1,
    place: places[index]!,
    finish: finishOut(j.finish),
    score: rounded(j.score),
    sightingRangeM: sides(j, 'sightM'),
    levelRangeM: {
      toward: rounded(j.sight.headings.toward.sightM),
      across: rounded(j.sight.headings.across.sightM),
      away: rounded(j.sight.headings.away.sightM),
    },
    colourRangeM: sides(j, 'colourM'),
    anglerSightM: j.anglerM === null ? null : rounded(j.anglerM),
    flash: rounded(j.flash),
    naturalness: rounded(j.natural),
    stances: Object.fromEntries(
      SCHOOL_IDS.map(id => [id, rounded(Math.max(-1, Math.min(1, j.stances[id].value)))]),
    ) as Record<SchoolId, number>,
    reasons: reasonsOf(j, judge, moment.conditions.units),
  }
}

/** The answer but for the ranked list, which the screen makes for itself as it draws. */
export function restOfAnswer({ moment, judge, ranked, prey }: Worked): Omit<Answer, 'version' | 'ranked'> {
  const alike = lookAlikeGroups(ranked)
  const { units, assumed } = moment.conditions
  const turning = turningOf(ranked, moment)
  const twins = twinsOf(alike)
  const boatSide = boatSideOf(ranked[0]!, moment)
  return {
    closeCall: closeCallOf(ranked, twins, units),
    rotation: rotationOf(ranked, moment, twins, judge),
    lookAlikes: alike.map(g => g.map(m => m.finish.id)),
    disagreements: disagreementsOf(ranked, moment, twins),
    turning: turning && said(turning, units),
    colourMatters: colourMattersOf(ranked.length, alike, moment),
    assumed: assumed.map(({ path, value, because }) => {
      const { text, ...sentence } = said(because, units)
      return { path, value, because: text, ...sentence }
    }),
    advisories: advisoriesOf(moment).map(({ kind, sentence }) => ({ kind, ...said(sentence, units) })),
    boatSide: boatSide && said(boatSide, units),
    next: said(nextOf(moment), units),
    dressUps: dressUpsOf(ranked.slice(0, 3), moment, prey, judge),
  }
}

/** The contract's answer to a request. Pure: the same request gives the same answer everywhere. */
export function recommend(request: Request): Answer {
  const worked = rank(request)
  return {
    version: '1',
    ranked: worked.ranked.slice(0, worked.moment.conditions.limit).map((_, i) => rankedOut(worked, i)),
    ...restOfAnswer(worked),
  }
}
