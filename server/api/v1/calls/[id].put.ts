import { callSchema, idSchema } from '#shared/schema/call'
import { keepCall } from '#server/services/calls'

const REFUSED = {
  'unknown-finish': [422, 'tiedOn', 'unknown', 'The lure tied on is not a finish of the lure that was asked about.'],
  'unknown-water': [422, 'waterId', 'unknown', 'That water is not one of yours.'],
  'taken': [409, 'id', 'taken', 'That id belongs to another call. Keep this one under an id of its own.'],
  'quota': [
    422,
    '',
    'quota',
    'This device has kept all it may here. Take some calls back, or save them as a file first.',
  ],
} as const

/** Keeps a call: 200 with it, again and again for the same id; 409 where the id is another call's; 422 with faults. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', idSchema)
  const input = await validatedBody(event, callSchema)
  const result = await keepCall(database(), asked => rankingText(event, asked), await ensureAngler(event), id, input)
  if (result.kind === 'kept') return result.call
  const [status, path, code, message] = REFUSED[result.kind]
  throw faultError(status, [{ path, code, message }])
})
