import { Counter, Histogram, Registry } from 'prom-client'

/** How long answers take, s: a glance, what is put together, what is long. */
const SECONDS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10, 30]

/** Everything this process counts, for whoever watches over it. */
export const COUNTS = new Registry()

/** Requests by what was asked, how it went and how long it took; never who asked. */
export const REQUEST_SECONDS = new Histogram({
  name: 'piscator_request_seconds',
  help: 'Seconds until a request of the API was answered.',
  labelNames: ['method', 'route', 'status'] as const,
  buckets: SECONDS,
  registers: [COUNTS],
})
export const TURN_SECONDS = new Histogram({
  name: 'piscator_job_turn_seconds',
  help: 'Seconds of the turns of jobs.',
  labelNames: ['kind', 'ended'] as const,
  buckets: SECONDS,
  registers: [COUNTS],
})
export const REFUSALS = new Counter({
  name: 'piscator_refusals_total',
  help: 'Requests refused, by why.',
  labelNames: ['code'] as const,
  registers: [COUNTS],
})
