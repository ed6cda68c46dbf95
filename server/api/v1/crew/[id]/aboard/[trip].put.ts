import { personIdSchema, tripIdSchema } from '#shared/schema/crew'
import { handOn, takeAboard } from '#server/crew/aboard'
import { isOfCrew } from '#server/crew/crew'
import { NOT_OF_CREW } from '#server/utils/accountFaults'

const NO_TRIP = { path: 'trip', code: 'unknown', message: 'No such trip of yours is kept here yet.' }

/** Takes somebody of the crew aboard a trip with a device of their own: 204; each adds to it from then on. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', personIdSchema)
  const trip = validatedParam(event, 'trip', tripIdSchema)
  const { anglerId } = await accountSession(event)
  const db = database()
  if (!(await isOfCrew(db, anglerId, id))) throw faultError(404, [NOT_OF_CREW])
  if (!(await takeAboard(db, anglerId, trip, id))) throw faultError(404, [NO_TRIP])
  await handOn(db, anglerId)
  return sendNoContent(event)
})
