import {
  type AuthenticationResponseJSON,
  type AuthenticatorTransport,
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
  type RegistrationResponseJSON,
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
} from '@simplewebauthn/server'
import { parse as bytesOfUuid } from 'uuid'
import type { Database } from '#server/db/connection'
import { rows } from '#server/db/rows'

/** Where passkeys are made for and used: a host's name, and the whole origin of the page (WebAuthn 2, 5.1.2). */
export interface Origin {
  host: string
  origin: string
}

/** How long a challenge may be answered, s. */
const CHALLENGE_S = 300

/** Keep a challenge until it is answered, once; those that ran out go by the way. */
async function keepChallenge(db: Database, challenge: string, anglerId: string | null): Promise<void> {
  await rows(db, 'delete from challenges where expires_at < now()')
  await rows(
    db,
    `insert into challenges (challenge, angler_id, expires_at)
     values ($challenge, $anglerId, now() + interval '${CHALLENGE_S} seconds')`,
    { challenge, anglerId },
  )
}

/** Take the challenge an answer is to, so that none is answered twice: whose it was, or null where there is none. */
async function takeChallenge(
  db: Database,
  clientDataJSON: string,
): Promise<{ challenge: string; anglerId: string | null } | null> {
  let challenge: unknown
  try {
    challenge = (JSON.parse(Buffer.from(clientDataJSON, 'base64url').toString()) as { challenge?: unknown }).challenge
  } catch {
    return null
  }
  if (typeof challenge !== 'string') return null
  const [kept] = await rows<{ anglerId: string | null }>(
    db,
    `delete from challenges where challenge = $challenge and expires_at > now() returning angler_id as "anglerId"`,
    { challenge },
  )
  return kept ? { challenge, anglerId: kept.anglerId } : null
}

/** What the browser is to make a passkey by. */
export async function creationOptions(
  db: Database,
  { host }: Origin,
  anglerId: string,
  name: string,
): Promise<PublicKeyCredentialCreationOptionsJSON> {
  const mine = await rows<{ id: string; transports: AuthenticatorTransport[] }>(
    db,
    'select id, transports from passkeys where angler_id = $anglerId',
    { anglerId },
  )
  const options = await generateRegistrationOptions({
    rpName: 'Piscator',
    rpID: host,
    userID: new Uint8Array(bytesOfUuid(anglerId)),
    userName: name,
    userDisplayName: name,
    attestationType: 'none',
    excludeCredentials: mine,
    authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
  })
  await keepChallenge(db, options.challenge, anglerId)
  return options
}

/** Keep the passkey a browser made; false where it is not what was asked for. */
export async function addPasskey(
  db: Database,
  { host, origin }: Origin,
  anglerId: string,
  name: string,
  response: RegistrationResponseJSON,
): Promise<boolean> {
  const asked = await takeChallenge(db, response.response.clientDataJSON)
  if (asked?.anglerId !== anglerId) return false
  const { registrationInfo: made } = await verifyRegistrationResponse({
    response,
    expectedChallenge: asked.challenge,
    expectedOrigin: origin,
    expectedRPID: host,
    requireUserVerification: true,
  }).catch(() => ({ registrationInfo: undefined }))
  if (!made) return false
  const { id, publicKey, counter, transports = [] } = made.credential
  const added = await rows(
    db,
    `insert into passkeys (id, angler_id, public_key, counter, transports, name)
     values ($id, $anglerId, $publicKey, $counter, $transports, $name) on conflict do nothing returning id`,
    { id, anglerId, publicKey: Buffer.from(publicKey), counter, transports, name },
  )
  return added.length > 0
}

/** What the browser is to ask its passkeys by: any of this host, the angler choosing among them. */
export async function requestOptions(db: Database, { host }: Origin): Promise<PublicKeyCredentialRequestOptionsJSON> {
  const options = await generateAuthenticationOptions({ rpID: host, userVerification: 'required' })
  await keepChallenge(db, options.challenge, null)
  return options
}

/** The angler whose passkey answered, or null. */
export async function anglerOfPasskey(
  db: Database,
  { host, origin }: Origin,
  response: AuthenticationResponseJSON,
): Promise<string | null> {
  const asked = await takeChallenge(db, response.response.clientDataJSON)
  const [key] = await rows<{ anglerId: string; publicKey: Buffer; counter: string; transports: string[] }>(
    db,
    `select angler_id as "anglerId", public_key as "publicKey", counter, transports from passkeys where id = $id`,
    { id: response.id },
  )
  if (!asked || asked.anglerId || !key) return null
  const { verified, authenticationInfo } = await verifyAuthenticationResponse({
    response,
    expectedChallenge: asked.challenge,
    expectedOrigin: origin,
    expectedRPID: host,
    requireUserVerification: true,
    credential: {
      id: response.id,
      publicKey: new Uint8Array(key.publicKey),
      counter: Number(key.counter),
      transports: key.transports as AuthenticatorTransport[],
    },
  }).catch(() => ({ verified: false, authenticationInfo: null }))
  if (!verified || !authenticationInfo) return null
  await rows(db, 'update passkeys set counter = $counter, used_at = now() where id = $id', {
    id: response.id,
    counter: authenticationInfo.newCounter,
  })
  return key.anglerId
}
