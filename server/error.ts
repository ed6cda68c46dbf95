import type { NitroErrorHandler } from 'nitropack'
import { databaseFault } from '#server/db/faults'
import { TooBusyError } from '#server/ranking/lane'
import { TooLongError } from '#server/ranking/pool'
import { allowedAt } from '#server/utils/allowed'
import { errorWords, logRequest, useLog } from '#server/utils/log'
import type { Fault } from '#shared/faults'

/** What goes out: a status, the faults, and when to come again. */
interface Reply {
  status: number
  errors: Fault[]
  retryAfterS?: number
}

const PLAIN: Readonly<Record<number, string>> = {
  404: 'There is nothing at this address.',
  405: 'This address does not take that kind of request.',
}
const SERVER = 'Something went wrong on our side. What you typed is still on your screen; try again.'
const CLIENT = 'The request could not be read.'
const LONG = 'That takes longer than this server gives to one question. Ask for less at once.'
const BUSY = 'Too many rankings are being worked out just now. Try again in a moment.'

const single = (status: number, code: string, message: string): Reply => ({
  status,
  errors: [{ path: '', code, message }],
})

/**
 * What a client is told of an error: our own faults as they are, the database's by their code, anything else as a
 * plain sentence.
 */
export function replyTo(error: { statusCode: number; data?: unknown; cause?: unknown }): Reply {
  const { errors } = (error.data ?? {}) as { errors?: Fault[] }
  if (errors) return { status: error.statusCode, errors }
  if (error.cause instanceof TooBusyError) return { ...single(503, 'busy', BUSY), retryAfterS: error.cause.retryAfterS }
  if (error.cause instanceof TooLongError) return single(503, 'too-long', LONG)
  // The one who asked has gone: nobody hears the answer.
  if ((error.cause as { name?: string } | undefined)?.name === 'AbortError') return single(499, 'gone', CLIENT)
  const fault = databaseFault(error.cause)
  if (fault) {
    const reply = single(fault.status, fault.code, fault.message)
    return fault.retryAfterS ? { ...reply, retryAfterS: fault.retryAfterS } : reply
  }
  const status = error.statusCode >= 400 && error.statusCode < 600 ? error.statusCode : 500
  return single(status, String(status), PLAIN[status] ?? (status >= 500 ? SERVER : CLIENT))
}

/** No stack and no message of a library ever leaves the server. */
const handler: NitroErrorHandler = (error, event) => {
  const reply = replyTo(error)
  const log = useLog()
  const { requestId } = event.context as { requestId?: string }
  const codes = [...new Set(reply.errors.map(e => e.code))]
  const what = { id: requestId, status: reply.status, codes }
  if (event.path.startsWith('/api/')) logRequest(event, reply.status, codes)
  // A busy moment is no fault: its line in the log of requests is enough, and cheap when there are many.
  const busy = error.cause instanceof TooBusyError
  if (reply.status >= 500 && !busy) log.error({ ...what, ...errorWords(error.cause ?? error) })
  const { res } = event.node
  if (res.headersSent) return void res.destroy()
  res.statusCode = reply.status
  if (reply.retryAfterS) res.setHeader('retry-after', String(reply.retryAfterS))
  if (reply.status === 405) res.setHeader('allow', allowedAt(event.path).join(', '))
  res.setHeader('content-type', 'application/json; charset=utf-8')
  res.end(JSON.stringify({ errors: reply.errors }))
}

export default handler
