import { callSchema, idSchema } from '#shared/schema/call'
import { keepCall } from '#server/records/calls'

const REFUSED = {
  'unknown-finish': [422, 'tiedOn', 'unknown', 'The lure tied on is not a finish of the lure that was asked about.'],
  'unknown-water': [422, 'waterId', 'unknown', 'That water is not one of yours.'],
  'taken': [409, 'id', 'taken', 'That id belongs to another call. Keep this one under an id of its own.'],
  'quota': [422, '', 'quota', 'All that fits here is kept. Take something away, or save it as a file first.'],
} as const

/** Keeps a call: 200 with it, again and again for the same id; 409 where the id is another call's; 422 with faults. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', idSchema)
  const input = await validatedBody(event, callSchema)
  const result = await keepCall(
    database(),
    asked => rankingText(event, asked),
    await ensureAngler(event),
    id,
    input,
    Date.now(),
  )
  if (result.kind === 'kept') return result.call
  const [status, path, code, message] = REFUSED[result.kind]
  throw faultError(status, [{ path, code, message }])
})
