import { MOST_INVITES, invite } from '#server/crew/crew'

const FULL = {
  path: '',
  code: 'full',
  message: `No more than ${MOST_INVITES} invitations at once. Take one back first.`,
}

/** Asks somebody along: the word for the link, good once, and until when. */
export default defineEventHandler(async event => {
  const { anglerId } = await accountSession(event)
  const made = await invite(database(), anglerId)
  if (!made) throw faultError(409, [FULL])
  return { id: made.id, token: made.token, until: made.until.toISOString() }
})
