import type { H3Event } from 'h3'
import type Joi from 'joi'
import { type Fault, check } from '#shared/faults'

/** Most bytes a body may have; a full request is under 2 kB. */
const MOST_BYTES = 32 * 1024

/** An answer that says what is wrong, one entry per fault, and nothing of what was sent. */
export function faultError(status: number, errors: Fault[]) {
  return createError({ statusCode: status, data: { errors } })
}

/**
 * Read a JSON body within bounds and validate it; anything wrong is a 4xx with faults, before any service is called.
 */
export async function validatedBody<T>(event: H3Event, schema: Joi.Schema<T>): Promise<T> {
  return validated(schema, await jsonBody(event))
}

/** A JSON body within bounds, unchecked; anything else is a 4xx with faults. */
export async function jsonBody(event: H3Event, mostBytes = MOST_BYTES): Promise<unknown> {
  // Forms and plain text are what a page of another site may send without being asked.
  const type = getRequestHeader(event, 'content-type')
  if (type && !/^application\/([\w.+-]+\+)?json\s*(;|$)/i.test(type)) {
    throw faultError(415, [{ path: '', code: 'media-type', message: 'Send the request as application/json.' }])
  }
  const text = await boundedBody(event, mostBytes)
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw faultError(422, [{ path: '', code: 'json', message: 'The request is not JSON. Send one JSON object.' }])
  }
  if (isDeeper(value, DEEPEST)) {
    throw faultError(422, [{ path: '', code: 'too-deep', message: 'The request is nested too deeply.' }])
  }
  return value
}

/** Nothing Piscator knows is nested further. */
const DEEPEST = 32
const isDeeper = (value: unknown, most: number): boolean =>
  typeof value === 'object' &&
  value !== null &&
  (most === 0 || Object.values(value).some(inner => isDeeper(inner, most - 1)))

/** Hold input to a schema: its value, or a 422 with one entry per fault. */
export const validated = <T>(schema: Joi.Schema<T>, input: unknown, unread?: string): T =>
  unwrap(check(schema, input, unread))

/** A path parameter, validated. */
export function validatedParam(event: H3Event, name: string, schema: Joi.Schema<string>): string {
  const result = check(schema, getRouterParam(event, name))
  if (!result.ok)
    throw faultError(
      422,
      result.faults.map(f => ({ ...f, path: name })),
    )
  return result.value
}

function unwrap<T>(result: ReturnType<typeof check<T>>): T {
  if (!result.ok) throw faultError(422, result.faults)
  return result.value
}

/** Past this, or twice a bound that is larger than usual, the sender is cut off rather than heard out. */
const HANG_UP_BYTES = 1024 * 1024

/** The body as text. One past the bound is heard to its end but not kept, so that the refusal reaches its sender. */
async function boundedBody(event: H3Event, mostBytes: number): Promise<string> {
  const chunks: Buffer[] = []
  let size = 0
  try {
    for await (const chunk of event.node.req) {
      size += (chunk as Buffer).length
      if (size > Math.max(HANG_UP_BYTES, 2 * mostBytes)) break
      if (size <= mostBytes) chunks.push(chunk as Buffer)
    }
  } catch {
    // The sender went away half-way: there is nobody left to answer, and nothing wrong here.
    throw faultError(400, [{ path: '', code: 'cut-off', message: 'The request broke off. Send it again.' }])
  }
  if (size > mostBytes) throw faultError(413, [{ path: '', code: 'too-large', message: 'The request is too large.' }])
  return Buffer.concat(chunks).toString('utf8')
}
