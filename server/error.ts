import type { NitroErrorHandler } from 'nitropack'

/** What a client is told of an error: our own faults as they are, anything else as a plain sentence. No stack, no message of a library. */
const handler: NitroErrorHandler = (error, event) => {
  const status = error.statusCode >= 400 && error.statusCode < 600 ? error.statusCode : 500
  const data = error.data as { errors?: unknown } | undefined
  if (status >= 500 && !data?.errors) console.error(error.cause ?? error)
  const body = data?.errors ? { errors: data.errors } : { errors: [{ path: '', code: String(status), message: plain(status) }] }
  event.node.res.statusCode = status
  event.node.res.setHeader('content-type', 'application/json; charset=utf-8')
  event.node.res.end(JSON.stringify(body))
}

function plain(status: number): string {
  if (status === 404) return 'There is nothing at this address.'
  if (status === 405) return 'This address does not take that kind of request.'
  return status >= 500 ? 'Something went wrong on our side. What you typed is still on your screen; try again.' : 'The request could not be read.'
}

export default handler
