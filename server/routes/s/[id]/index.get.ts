import { shareIdSchema } from '#shared/schema/share'
import { check } from '#shared/faults'
import { goneOfShare, pageOf, pagePolicy } from '#server/shares/pages'
import { countOpening, openShare } from '#server/shares/shares'

/** What a link shows, as a page that needs no script; 404 with words where it shows nothing any more. */
export default defineEventHandler(async event => {
  const id = check(shareIdSchema, getRouterParam(event, 'id'))
  const share = id.ok ? await openShare(database(), id.value) : null
  setResponseHeaders(event, {
    'content-type': 'text/html; charset=utf-8',
    'content-security-policy': await pagePolicy(),
    // Taken back, it is gone at once.
    'cache-control': 'no-store',
    'x-robots-tag': 'noindex, nofollow',
  })
  if (!id.ok || !share) {
    setResponseStatus(event, 404)
    return goneOfShare()
  }
  void countOpening(database(), id.value).catch(logLater)
  const { origin } = getRequestURL(event, { xForwardedProto: true })
  const { html, packed } = await pageOf(id.value, share, `${origin}/s/${id.value}`)
  setResponseHeader(event, 'vary', 'accept-encoding')
  if (!/\bgzip\b/.test(getRequestHeader(event, 'accept-encoding') ?? '')) return html
  setResponseHeader(event, 'content-encoding', 'gzip')
  return packed
})
