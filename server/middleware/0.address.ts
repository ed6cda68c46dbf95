import { answersRequests } from '#server/utils/role'
import { faultError } from '#server/utils/validated'

/** Names this server is called by, with commas between; any where none is set. */
const hosts = (process.env.PISCATOR_HOSTS ?? '').split(',').flatMap(h => (h.trim() ? [h.trim().toLowerCase()] : []))

/** How a process is can be asked of each. */
const HEALTH = '/api/v1/health'

/** Who is called by another name is not meant, and an address that begins with two strokes is none of ours. */
export default defineEventHandler(event => {
  if (hosts.length && !hosts.includes(getRequestHost(event).toLowerCase())) {
    throw faultError(421, [{ path: '', code: 'host', message: 'This server does not go by that name.' }])
  }
  if (!answersRequests && !event.path.startsWith(HEALTH)) throw createError({ statusCode: 404 })
  if (event.path.startsWith('//')) throw createError({ statusCode: 404 })
})
