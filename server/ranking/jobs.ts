import { dayAnswer } from '#core/day/answer'
import type { DayScores } from '#core/day/plan'
import type { DayRequest } from '#core/day/request'
import { dayOf, scoreStep } from '#core/day/scores'
import { readWater } from '#core/evidence/readWater'
import { type KitAsk, kitOf } from '#core/kit/kit'
import { type Scene, type SceneScores, scoreScene } from '#core/kit/scenes'
import { type RequestByReadings, recommendByReadings } from '#core/ranking/byReadings'
import { recommend } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import { trialOrder } from '#core/trial/order'
import { type Block, trialVerdict } from '#core/trial/verdict'
import type { ReadingsRequest } from '#shared/schema/request'
import type { OrderRequest } from '#shared/schema/trial'

interface DayPortion {
  request: DayRequest
  lane: number
  steps: readonly number[]
}
/** Some of a lane's steps ranked; what is ashore is not. */
function dayScores({ request, lane, steps }: DayPortion) {
  const day = dayOf(request)
  return steps.map(t => scoreStep(request, day, day.steps[t]!, request.lures[lane]!))
}

/** Work for a thread: each kind with what it is asked, and what does it. */
const JOBS = {
  'rank': (request: Request) => recommend(request),
  'rank-by-readings': (request: RequestByReadings) => recommendByReadings(request),
  'read-water': ({ readings, salinity = 'fresh', units = 'metric', light }: ReadingsRequest) =>
    readWater(readings, salinity, units, light),
  'day-scores': dayScores,
  'day-plan': ({ request, scores }: { request: DayRequest; scores: DayScores }) =>
    dayAnswer(request, dayOf(request), scores),
  'score-scenes': (scenes: readonly Scene[]) => scenes.map(s => scoreScene(s)),
  'kit': ({ scored, ask }: { scored: readonly SceneScores[]; ask: KitAsk }) => kitOf(scored, ask),
  'order': ({ blocks, seed }: OrderRequest) => ({ spells: trialOrder(blocks, seed) }),
  'verdict': ({ blocks }: { blocks: readonly Block[] }) => trialVerdict(blocks),
} as const

export type JobKind = keyof typeof JOBS
export type Job = { [K in JobKind]: { kind: K; asked: Parameters<(typeof JOBS)[K]>[0] } }[JobKind]

/** The answer to a job as JSON text. */
export const workOut = ({ kind, asked }: Job): string => JSON.stringify((JOBS[kind] as (a: unknown) => unknown)(asked))
