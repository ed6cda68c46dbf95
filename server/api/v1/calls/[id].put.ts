import { callSchema, idSchema } from '#shared/schema/call'
import { keepCall } from '../../../services/calls'

/** Keeps a call: 200 with it, again and again for the same id; 409 where the id is another angler's; 422 with faults. */
export default defineEventHandler(async (event) => {
  const id = validatedParam(event, 'id', idSchema)
  const input = await validatedBody(event, callSchema)
  return withDatabaseErrors(async () => {
    const result = await keepCall(database(), await ensureAngler(event), id, input)
    switch (result.kind) {
      case 'kept': return result.call
      case 'unknown-finish': throw faultError(422, [{ path: 'tiedOn', code: 'unknown', message: 'The lure tied on is not a finish of the lure that was asked about.' }])
      case 'unknown-water': throw faultError(422, [{ path: 'waterId', code: 'unknown', message: 'That water is not one of yours.' }])
      case 'taken': throw faultError(409, [{ path: 'id', code: 'taken', message: 'That call belongs to someone else.' }])
    }
  })
})
