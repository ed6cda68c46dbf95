import { faultError } from '#server/utils/validated'

const READING = ['GET', 'HEAD', 'OPTIONS']
/** Where a browser says a request comes from, when it may change something here. */
const OWN = ['same-origin', 'none']

const hostOf = (url: string) => {
  try {
    return new URL(url).host
  } catch {
    return null
  }
}

/**
 * A page of another site may not write here with this device's cookie. Browsers say where a request comes from;
 * programs say nothing and carry no cookie they were not given.
 */
export default defineEventHandler(event => {
  if (READING.includes(event.method) || !event.path.startsWith('/api/')) return
  const site = getRequestHeader(event, 'sec-fetch-site')
  const origin = getRequestHeader(event, 'origin')
  const foreign = site ? !OWN.includes(site) : origin !== undefined && hostOf(origin) !== getRequestHost(event)
  if (foreign) {
    throw faultError(403, [{ path: '', code: 'foreign', message: 'Another site may not change anything here.' }])
  }
})
