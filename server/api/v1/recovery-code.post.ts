import { newRecoveryCode } from '#server/accounts/paperCode'

/** Makes a code, to be written down, that moves this device's records to another device. The code before is void. */
export default defineEventHandler(async event => ({
  code: await newRecoveryCode(database(), await ensureAngler(event)),
}))
