import { type DaysAnswer, personIdSchema } from '#shared/schema/crew'
import { daysSeen } from '#server/crew/crew'

/** Somebody's days, as much of them as they show this angler: none where they show nothing, or are nobody's crew. */
export default defineEventHandler(async (event): Promise<DaysAnswer> => {
  const id = validatedParam(event, 'id', personIdSchema)
  const { anglerId } = await accountSession(event)
  return { days: await daysSeen(database(), id, anglerId, Date.now()) }
})
