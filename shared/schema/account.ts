import Joi from 'joi'
import { NAME_LENGTH, PASSWORD_LENGTH } from '#shared/accountLimits'
import { uuidSchema } from '#shared/schema/fields'

const UNKNOWN = { 'object.unknown': 'The request holds a field Piscator does not know. Take it out.' }
const request = <T>(keys: Joi.SchemaMap<T>) => Joi.object<T, false, T>(keys).label('The request').messages(UNKNOWN)

/** Letters, figures and what stands between them: nothing that turns a line around or cannot be seen. */
const NAME = /^[\p{L}\p{N}][\p{L}\p{M}\p{N} .'’-]*$/u
const name = Joi.string()
  .trim()
  .min(NAME_LENGTH.least)
  .max(NAME_LENGTH.most)
  .pattern(NAME)
  .label('The name')
  .messages({ 'string.pattern.base': 'The name may have letters, figures, blanks, dots and dashes.' })
const password = Joi.string()
  .min(PASSWORD_LENGTH.least)
  .max(PASSWORD_LENGTH.most)
  .label('The password')
  .messages({ 'string.min': 'The password needs {{#limit}} characters or more. A few words in a row do well.' })
/** A password that is tried may be whatever somebody typed. */
const tried = Joi.string().min(1).max(PASSWORD_LENGTH.most).label('The password')
const text = (most: number) => Joi.string().max(most)
const label = Joi.string().trim().allow('').max(NAME_LENGTH.most).label('The name')

export interface NameRequest {
  name: string
}
export const nameSchema = request<NameRequest>({ name: name.required() })
export const deviceNameSchema = request<NameRequest>({ name: label.required() })

export interface PasswordRequest {
  /** Wanted where the angler has none yet. */
  name?: string
  password: string
  /** The one so far, where there is one. */
  current?: string
}
export const passwordSchema = request<PasswordRequest>({ name, password: password.required(), current: tried })

export interface PasswordSignIn {
  name: string
  password: string
}
export const passwordSignInSchema = request<PasswordSignIn>({
  name: Joi.string().min(1).max(NAME_LENGTH.most).label('The name').required(),
  password: tried.required(),
})

/** What an authenticator gives back (WebAuthn 3, 5.1: RegistrationResponseJSON, AuthenticationResponseJSON). */
const KIB = 1024
const credential = (response: Joi.SchemaMap) =>
  Joi.object({
    id: text(1400).required(),
    rawId: text(1400).required(),
    type: Joi.string().valid('public-key').required(),
    response: Joi.object(response).unknown().required(),
    clientExtensionResults: Joi.object().unknown(),
    authenticatorAttachment: text(40).allow(null),
  })
    .label('The passkey')
    .required()

export interface PasskeyRequest {
  name: string
  response: Record<string, unknown>
}
export const passkeySchema = request<PasskeyRequest>({
  name: name.required(),
  response: credential({
    clientDataJSON: text(4 * KIB).required(),
    attestationObject: text(16 * KIB).required(),
    transports: Joi.array().items(text(20)).max(8),
  }),
})
export interface PasskeySignIn {
  response: Record<string, unknown>
}
export const passkeySignInSchema = request<PasskeySignIn>({
  response: credential({
    clientDataJSON: text(4 * KIB).required(),
    authenticatorData: text(4 * KIB).required(),
    signature: text(4 * KIB).required(),
    userHandle: text(200).allow(null, ''),
  }),
})

export interface RestoreRequest {
  undo: string
}
export const restoreSchema = request<RestoreRequest>({
  undo: Joi.string()
    .pattern(/^[\w-]{22}$/)
    .label('The word to undo it by')
    .required(),
})

export const deviceIdSchema = uuidSchema("The device's id").required()
export const passkeyIdSchema = Joi.string()
  .pattern(/^[\w-]{1,1400}$/)
  .label("The passkey's id")
  .required()

/** `GET /api/v1/account`. */
export interface AccountAnswer {
  /** Null while everything is this device's alone. */
  name: string | null
  passkeys: { id: string; name: string; createdAt: string; usedAt: string | null }[]
  password: boolean
  code: boolean
  devices: {
    id: string
    name: string
    kind: 'phone' | 'tablet' | 'computer'
    createdAt: string
    seenAt: string
    here: boolean
  }[]
}
export const accountAnswerSchema = Joi.object<AccountAnswer>({
  name: Joi.string().allow(null).required().description('null while everything is one device’s alone'),
  passkeys: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().required(),
        name: Joi.string().allow('').required(),
        createdAt: Joi.string().required(),
        usedAt: Joi.string().allow(null).required(),
      }),
    )
    .required(),
  password: Joi.boolean().required(),
  code: Joi.boolean().required().description('whether a code on paper is good'),
  devices: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().required(),
        name: Joi.string().allow('').required(),
        kind: Joi.string().valid('phone', 'tablet', 'computer').required(),
        createdAt: Joi.string().required(),
        seenAt: Joi.string().required(),
        here: Joi.boolean().required(),
      }),
    )
    .required(),
})
