import { type Finish, finishesOf } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'
import { rank } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import { looksOf } from '#core/sight/likeness'
import { apartJnd } from '#core/sight/measure'

/** A scene that is fished: a request for a ranking, and how much it counts. */
export type KitScene = Omit<Request, 'limit'> & { weight?: number }

/** What the engine says of every finish of the lure in a scene: in the catalogue's order, then the extra ones'. */
export interface SceneScores {
  lure: LureId
  weight: number
  scores: number[]
  /** Indices of the best three and of what the fish cannot tell from one of them. */
  near: number[]
}

/** A finish counts as needed where it is one of so many best, or looks like one. */
const BEST = 3

/** The finishes a lure's scenes are scored for. */
export const scoredFinishes = (lure: LureId, extra: readonly Finish[] = []): Finish[] => [
  ...finishesOf(lure),
  ...extra.filter(f => f.lure === lure),
]

/**
 * Score a scene for a kit: a ranking without its reasons and what else a whole answer says.
 * @param extra finishes beside the catalogue's, of any lure: an angler's own
 */
export function scoreScene({ weight = 1, ...request }: KitScene, extra: readonly Finish[] = []): SceneScores {
  const { ranked } = rank(request, extra)
  const finishes = scoredFinishes(request.lure, extra)
  const index = new Map<Finish, number>(finishes.map((f, i) => [f, i]))
  const scores = new Array<number>(finishes.length)
  for (const j of ranked) scores[index.get(j.finish)!] = j.score
  const best = ranked.slice(0, BEST)
  // A look is told by its best finish, so those of the best three are the first looks there are: the rest need none.
  const [firsts, rest] = [looksOf(best).map(look => look[0]!), ranked.slice(BEST)]
  const near = [...best, ...rest.filter(m => firsts.some(f => apartJnd(f, m) < 1))]
  return { lure: request.lure, weight, scores, near: near.map(m => index.get(m.finish)!) }
}
