import type { AccountAnswer } from '#shared/schema/account'
import { accountOf } from '#server/accounts/account'
import { listDevices } from '#server/accounts/sessions'

/** Who this device's angler is: the name, the ways of signing in, the devices signed in. */
export default defineEventHandler(async (event): Promise<AccountAnswer> => {
  await knownAngler(event)
  const session = (await readSession(event))!
  const [account, devices] = await Promise.all([
    accountOf(database(), session.anglerId),
    listDevices(database(), session.anglerId),
  ])
  return {
    ...account,
    passkeys: account.passkeys.map(p => ({
      ...p,
      createdAt: p.createdAt.toISOString(),
      usedAt: p.usedAt?.toISOString() ?? null,
    })),
    devices: devices.map(d => ({
      ...d,
      createdAt: d.createdAt.toISOString(),
      seenAt: d.seenAt.toISOString(),
      here: d.id === session.id,
    })),
  }
})
