import { recoverSchema } from '#shared/schema/call'
import { recover } from '#server/services/anglers'

/**
 * Makes this device the one a code was written down on, with its own records added: 204; 422 where no device has it.
 */
export default defineEventHandler(async event => {
  const { code } = await validatedBody(event, recoverSchema)
  const session = await recover(database(), code, await anglerId(event))
  if (!session) {
    throw faultError(422, [
      { path: 'code', code: 'unknown', message: 'No records belong to that code. Check each letter.' },
    ])
  }
  await writeSession(event, session)
  return sendNoContent(event)
})
