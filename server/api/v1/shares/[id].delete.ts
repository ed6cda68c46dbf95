import { shareIdSchema } from '#shared/schema/share'
import { takeBack } from '#server/shares/shares'

/** Takes a link back: 204, also where it is not there. It shows nothing from then on. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', shareIdSchema)
  const angler = await anglerId(event)
  if (angler) await takeBack(database(), angler, id)
  return sendNoContent(event)
})
