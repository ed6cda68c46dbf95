import { recoverSchema } from '#shared/schema/call'
import { anglerOfCode } from '#server/accounts/paperCode'
import { addressOf } from '#server/utils/address'
import { ALL, GUESSES } from '#server/utils/limiters'

/** How long a code that is nobody's is thought about, ms, so that guessing is slow. */
const WRONG_MS = 400

/**
 * Makes this device one of the angler's whose code it is, with its own records added: 204; 422 where no one has it.
 * Many records go on moving after the answer.
 */
export default defineEventHandler(async event => {
  const { code } = await validatedBody(event, recoverSchema)
  await GUESSES.everyone.take(event, ALL)
  await GUESSES.address.take(event, addressOf(event))
  const owner = await anglerOfCode(database(), code)
  if (!owner || !(await signInAs(event, owner))) {
    await new Promise(resolve => setTimeout(resolve, WRONG_MS))
    throw faultError(422, [
      { path: 'code', code: 'unknown', message: 'No records belong to that code. Check each letter.' },
    ])
  }
  return sendNoContent(event)
})
