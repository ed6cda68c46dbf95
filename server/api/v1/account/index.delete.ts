import { takeAway } from '#server/accounts/erasing'

/**
 * Takes everything of this angler's away: every device is signed out at once, and in ten minutes it is erased. Until
 * then the word given here brings it back.
 */
export default defineEventHandler(async event => {
  const { anglerId, id } = await ensureSession(event)
  const { undo, until } = await takeAway(database(), anglerId, id)
  endSession(event)
  return { undo, until: until.toISOString() }
})
