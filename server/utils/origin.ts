import { isIP } from 'node:net'
import type { H3Event } from 'h3'
import type { Origin } from '#server/accounts/passkeys'
import { faultError } from './validated'

/** Where passkeys of this request belong to: its host's name. An address has none (WebAuthn 2, 5.1.2). */
export function originOf(event: H3Event): Origin {
  const { hostname, origin } = new URL(
    `${getRequestProtocol(event, { xForwardedProto: true })}://${getRequestHost(event)}`,
  )
  if (isIP(hostname.replace(/^\[|\]$/g, ''))) {
    throw faultError(422, [
      { path: '', code: 'no-name', message: 'A passkey needs a name, not an address: open Piscator by its name.' },
    ])
  }
  return { host: hostname, origin }
}
