import type { H3Event } from 'h3'
import { REFUSALS, REQUEST_SECONDS } from './counts'
import { OutOfTimeError } from '#server/db/inTime'
import pino, { type Logger } from 'pino'
import { createStream } from 'rotating-file-stream'

/** A log file grows to this, and so many older ones are kept. */
const FILE_SIZE = '5M'
const OLDER_FILES = 5

/**
 * Lines of JSON: level, time, and what happened, by code. Never a query, a place, an answer or an id of anybody's. To
 * a file of one's own where PISCATOR_LOG names one (added to at every start, rotated by size, readable by its owner
 * alone), else to standard output.
 */
function makeLog(): Logger {
  const file = process.env.PISCATOR_LOG
  const options = { base: null, timestamp: pino.stdTimeFunctions.isoTime }
  if (!file) return pino(options)
  const slash = file.lastIndexOf('/')
  const stream = createStream(file.slice(slash + 1), {
    path: file.slice(0, slash) || '.',
    size: FILE_SIZE,
    maxFiles: OLDER_FILES,
    mode: 0o600,
  })
  return pino(options, stream)
}

/** What is noted of a request while it is answered. */
interface Noted {
  requestId?: string
  startedAt?: number
  matchedRoute?: { path: string }
}

/** The line of a request: its id, method, route, status and time, and the codes of what was refused. */
export function logRequest(event: H3Event, status: number, codes?: readonly string[]): void {
  const { requestId, startedAt, matchedRoute } = event.context as Noted
  const { method } = event
  const route = matchedRoute?.path ?? 'none'
  const ms = startedAt === undefined ? undefined : Math.round(performance.now() - startedAt)
  useLog().info({ id: requestId, method, route, status, ...(codes ? { codes } : {}), ms })
  REQUEST_SECONDS.observe({ method, route, status }, (ms ?? 0) / 1000)
  for (const code of codes ?? []) REFUSALS.inc({ code })
}

let log: Logger | null = null
export const useLog = (): Logger => (log ??= makeLog())

/** An error by its kind and code alone: its words may hold what was asked. */
export function errorWords(error: unknown): Record<string, unknown> {
  if (!(error instanceof Error)) return { kind: typeof error }
  const { code, original } = error as { code?: unknown; original?: { code?: unknown } }
  const at = error.stack
    ?.split('\n')
    .find(line => line.includes('    at '))
    ?.trim()
  return { kind: error.name, code: original?.code ?? code, at }
}

/** A fault of work that goes on after its answer: it is tried again later, and nobody else would hear of it. */
export function logLater(error: unknown): void {
  if (!(error instanceof OutOfTimeError)) useLog().error(errorWords(error))
}
