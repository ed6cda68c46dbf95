import { readWater } from '#core/evidence/readWater'
import { type RequestByReadings, recommendByReadings } from '#core/ranking/byReadings'
import { recommend } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import { trialOrder } from '#core/trial/order'
import { type Block, trialVerdict } from '#core/trial/verdict'
import type { ReadingsRequest } from '#shared/schema/request'
import type { OrderRequest } from '#shared/schema/trial'

/** Work for a thread: each kind with what it is asked, and what does it. */
const JOBS = {
  'rank': (request: Request) => recommend(request),
  'rank-by-readings': (request: RequestByReadings) => recommendByReadings(request),
  'read-water': ({ readings, salinity = 'fresh', units = 'metric' }: ReadingsRequest) =>
    readWater(readings, salinity, units),
  'order': ({ blocks, seed }: OrderRequest) => ({ spells: trialOrder(blocks, seed) }),
  'verdict': ({ blocks }: { blocks: readonly Block[] }) => trialVerdict(blocks),
} as const

export type JobKind = keyof typeof JOBS
export type Job = { [K in JobKind]: { kind: K; asked: Parameters<(typeof JOBS)[K]>[0] } }[JobKind]

/** The answer to a job as JSON text. */
export const workOut = ({ kind, asked }: Job): string => JSON.stringify((JOBS[kind] as (a: unknown) => unknown)(asked))
