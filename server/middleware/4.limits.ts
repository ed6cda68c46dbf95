import { addressOf } from '#server/utils/address'
import { countedFor } from '#server/utils/deviceKey'
import { ALL, REQUESTS } from '#server/utils/limiters'
import { readSession } from '#server/utils/session'

/** More than one device, or all together, may ask in a while is refused early: 429, with when to come again. */
export default defineEventHandler(async event => {
  if (!event.path.startsWith('/api/') && !event.path.startsWith('/s/')) return
  await REQUESTS.everyone.take(event, ALL)
  const address = addressOf(event)
  await REQUESTS.address.take(event, address)
  // A device is who its cookie says once it has been opened: whatever else it sends counts for its address.
  const session = await readSession(event)
  const key = session ? `angler ${session.anglerId}` : `address ${address}`
  countedFor(event, key)
  if (!session) await REQUESTS.strangers.take(event, ALL)
  await REQUESTS.device.take(event, key)
})
