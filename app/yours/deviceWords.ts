import { DateTime } from 'luxon'
import type { AccountAnswer } from '#shared/schema/account'

type Device = AccountAnswer['devices'][number]

const KINDS = { phone: 'phone', tablet: 'tablet', computer: 'computer' } as const

/** What a device is called: as it was named, else by what it is. */
export const deviceName = (d: Device): string => d.name || (d.here ? `This ${KINDS[d.kind]}` : `A ${KINDS[d.kind]}`)

/** What this device is called in a sentence, before the server has said what it is. */
export const thisDevice = (devices: readonly Device[] | undefined): string =>
  `this ${KINDS[devices?.find(d => d.here)?.kind ?? 'computer']}`

/** When a device was last seen. */
export const seenWords = (d: Device, nowMs: number): string =>
  d.here ? 'now' : (DateTime.fromISO(d.seenAt).toRelative({ base: DateTime.fromMillis(nowMs), locale: 'en' }) ?? '')
