import { shareIdSchema } from '#shared/schema/share'
import { previewOf } from '#server/shares/pages'
import { openShare } from '#server/shares/shares'

/** The picture that messages show beside a link: PNG, 1200 by 630. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', shareIdSchema)
  const share = await openShare(database(), id)
  if (!share) throw createError({ statusCode: 404 })
  setResponseHeaders(event, {
    'content-type': 'image/png',
    'cache-control': 'no-store',
    'x-robots-tag': 'noindex',
    'cross-origin-resource-policy': 'cross-origin',
  })
  return previewOf(id, share)
})
