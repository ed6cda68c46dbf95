import { shareIdSchema } from '#shared/schema/share'
import { drawnPicture, keepPicture, openShare } from '#server/shares/shares'

/** The picture that messages show beside a link: PNG, 1200 by 630. Drawn as a job; or now, where that is not done. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', shareIdSchema)
  const share = await openShare(database(), id)
  if (!share) throw createError({ statusCode: 404 })
  let picture = await drawnPicture(database(), id)
  if (!picture) {
    const asked = { id, shared: share.shared }
    const made = await inThread<{ id: string; png: string }>(event, { kind: 'picture', asked })
    await keepPicture(database(), made)
    picture = Buffer.from(made.png, 'base64')
  }
  setResponseHeaders(event, {
    'content-type': 'image/png',
    'cache-control': 'no-store',
    'x-robots-tag': 'noindex',
    'cross-origin-resource-policy': 'cross-origin',
  })
  return picture
})
