import { idSchema } from '#shared/schema/call'
import { forgetCall } from '#server/records/calls'

/** Takes a kept call back: 204, also where there was none. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', idSchema)
  const owner = await anglerId(event)
  if (owner) await forgetCall(database(), owner, id, Date.now())
  return sendNoContent(event)
})
