import type Joi from 'joi'
import type { Engine } from '#core/index'
import { type DayAnswer, dayAnswer } from '#core/day/answer'
import type { DayScores } from '#core/day/plan'
import type { DayRequest } from '#core/day/request'
import { dayOf, scoreStep } from '#core/day/scores'
import { type KitAsk, kitOf } from '#core/kit/kit'
import { type KitScene, type SceneScores, scoreScene } from '#core/kit/scenes'
import type { Request } from '#core/request/request'
import { type SeasonAsk, seasonOf } from '#core/season-learning/season'
import { type PoolSum, poolOfSum, sumOfShares } from '#core/season-learning/pool'
import { standsIn } from '#core/season-learning/stands'
import { checkRecords, importedOf, recordPieces } from '#server/records/checked'
import { freezeCall, freezePlan, freezeVerdict, frozenDay } from '#server/shares/freeze'
import type { Block } from '#core/trial/verdict'
import { type Fault, check } from '#shared/faults'
import { openApi } from '#shared/openapi'
import type { Shared } from '#shared/share'
import { everythingSchema } from '#shared/schema/everything'
import { daySchema } from '#shared/schema/day'
import { kitShellSchema, sceneSchema } from '#shared/schema/kit'
import { readingsSchema, requestByReadingsSchema, requestSchema } from '#shared/schema/request'
import { poolSchema } from '#shared/schema/pool'
import { luresSchema } from '#shared/schema/lures'
import { seasonSchema } from '#shared/schema/season'
import { orderSchema, verdictSchema } from '#shared/schema/trial'

interface DayChunk {
  request: DayRequest
  lane: number
  steps: readonly number[]
}
/** Some of a lane's steps ranked; what is ashore is not. */
function dayScores({ request, lane, steps }: DayChunk) {
  const day = dayOf(request)
  return steps.map(t => scoreStep(request, day, day.steps[t]!, request.lures[lane]!))
}

/** What a thread gives back: the answer as JSON text, or what is wrong with what was asked. */
export type JobResult = { text: string } | { faults: Fault[] }

/** Work on input that nobody has looked at: it is checked in the thread, where nobody waits on it. */
const checked =
  <T>(schema: Joi.Schema<T>, work: (asked: T) => unknown) =>
  (input: unknown): JobResult => {
    const result = check(schema, input)
    return result.ok ? { text: JSON.stringify(work(result.value)) } : { faults: result.faults }
  }
/** Work on what was checked before. */
const known =
  <T>(work: (asked: T) => unknown) =>
  (asked: T): JobResult => ({ text: JSON.stringify(work(asked)) })

/** Scenes from a place in their list on, held to their schema. */
function checkScenes({ scenes, from }: { scenes: readonly unknown[]; from: number }): JobResult {
  const faults: Fault[] = []
  const values: KitScene[] = []
  scenes.forEach((scene, i) => {
    const result = check(sceneSchema, scene)
    if (result.ok) values.push(result.value)
    else
      faults.push(
        ...result.faults.map(f => ({ ...f, path: ['scenes', from + i, f.path].filter(p => p !== '').join('.') })),
      )
  })
  return faults.length ? { faults } : { text: JSON.stringify(values) }
}

const NO_INFORMATION: Fault = {
  path: 'shares',
  code: 'not-a-share',
  message: 'No logs have information like this. Check where the shares come from.',
}
const castsOf = (blocks: readonly Block[]) => blocks.reduce((sum, b) => sum + b.a.casts + b.b.casts, 0)

/** The picture of a link, for a thread to draw: which link, and what it shows. */
export interface PictureAsk {
  id: string
  shared: Shared
}
/** Draws what a link shows, as PNG. */
export type DrawPicture = (shared: Shared) => Promise<Uint8Array>

/** Work for a thread: each kind with what it is asked, and what does it. What is long is done in chunks. */
const jobsOf = (engine: Engine, draw: DrawPicture) => ({
  'rank': checked(requestSchema, engine.recommend),
  'rank-by-readings': checked(requestByReadingsSchema, engine.recommendByReadings),
  'read-water': checked(readingsSchema, engine.readWater),
  'which-lure': checked(luresSchema, engine.luresHere),
  'check-day': checked(daySchema, asked => asked),
  'day-scores': known(dayScores),
  'day-plan': known(({ request, scores }: { request: DayRequest; scores: DayScores }) =>
    dayAnswer(request, dayOf(request), scores),
  ),
  'check-kit': checked(kitShellSchema, asked => asked),
  'check-scenes': checkScenes,
  'score-scenes': known((scenes: readonly KitScene[]) => scenes.map(s => scoreScene(s))),
  'kit': known(({ scored, ask }: { scored: readonly SceneScores[]; ask: KitAsk }) => kitOf(scored, ask)),
  'check-season': checked(seasonSchema, asked => asked),
  'season-stands': known((some: readonly Request[]) => some.map(asked => ({ asked, stands: standsIn(asked) }))),
  'season': known(({ ask, stands }: { ask: SeasonAsk; stands: Parameters<typeof seasonOf>[1] }) =>
    seasonOf(ask, stands),
  ),
  'check-pool': checked(poolSchema, asked => asked),
  'add-shares': known(sumOfShares),
  'pool': (sums: readonly PoolSum[]): JobResult => {
    const pool = poolOfSum(sumOfShares(sums))
    return pool ? { text: JSON.stringify(pool) } : { faults: [NO_INFORMATION] }
  },
  'check-import': checked(everythingSchema, recordPieces),
  'check-records': known(checkRecords),
  'imported': known(importedOf),
  'order': checked(orderSchema, asked => ({ spells: engine.trialOrder(asked) })),
  'verdict': checked(verdictSchema, ({ blocks }) => engine.trialVerdict(blocks)),
  'freeze-call': known(freezeCall),
  'freeze-day': known(frozenDay),
  'freeze-plan': known(({ asked, answer }: { asked: DayRequest; answer: DayAnswer }) => freezePlan(asked, answer)),
  'freeze-verdict': known(({ finishIds, blocks }: { finishIds: string[]; blocks: Block[] }) =>
    freezeVerdict(finishIds, engine.trialVerdict(blocks), castsOf(blocks)),
  ),
  'picture': async ({ id, shared }: PictureAsk): Promise<JobResult> => ({
    text: JSON.stringify({ id, png: Buffer.from(await draw(shared)).toString('base64') }),
  }),
  'pictured': known(([kept]: readonly object[]) => kept),
  'describe': known((version: string) => openApi(version)),
})

type Jobs = ReturnType<typeof jobsOf>
export type JobKind = keyof Jobs
export type Job = { [K in JobKind]: { kind: K; asked: Parameters<Jobs[K]>[0] } }[JobKind]

/** What may hold a thread for longer than a glance: it has threads of its own. */
export const LONG_JOBS: ReadonlySet<JobKind> = new Set<JobKind>([
  'rank-by-readings',
  'read-water',
  'which-lure',
  'check-day',
  'day-scores',
  'day-plan',
  'check-kit',
  'check-scenes',
  'score-scenes',
  'kit',
  'describe',
  'check-season',
  'season-stands',
  'season',
  'check-pool',
  'add-shares',
  'pool',
  'check-import',
  'check-records',
  'imported',
  'picture',
  'pictured',
])

/** What answers jobs, by an engine and what draws. */
export function workerOf(engine: Engine, draw: DrawPicture): (job: Job) => JobResult | Promise<JobResult> {
  const jobs = jobsOf(engine, draw)
  return ({ kind, asked }) => (jobs[kind] as (a: unknown) => JobResult | Promise<JobResult>)(asked)
}
