import { recoverSchema } from '#shared/schema/call'
import { recover } from '#server/services/anglers'
import { continueMoves } from '#server/records/moves'
import { addressOf } from '#server/utils/address'
import { ALL, GUESSES } from '#server/utils/limiters'

/** How long a code that is nobody's is thought about, ms, so that guessing is slow; and the moving waited for. */
const WRONG_MS = 400
const MOVING_MS = 1500

/**
 * Makes this device the one a code was written down on, with its own records added: 204; 422 where no device has it.
 * Many records go on moving after the answer.
 */
export default defineEventHandler(async event => {
  const { code } = await validatedBody(event, recoverSchema)
  await GUESSES.everyone.take(event, ALL)
  await GUESSES.address.take(event, addressOf(event))
  const db = database()
  // A device that has kept nothing has nothing to bring.
  const from = (await isKnownAngler(event)) ? await anglerId(event) : null
  const session = await recover(db, code, from)
  if (!session) {
    await new Promise(resolve => setTimeout(resolve, WRONG_MS))
    throw faultError(422, [
      { path: 'code', code: 'unknown', message: 'No records belong to that code. Check each letter.' },
    ])
  }
  await writeSession(event, session)
  // What is not moved by then goes on by itself, and after a broken-off process with the next sync.
  await continueMoves(db, session.anglerId, MOVING_MS).catch(logLater)
  return sendNoContent(event)
})
