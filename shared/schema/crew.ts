import Joi from 'joi'
import { SHARING_STEPS, type SeenDay, type SharingStep } from '#shared/crew'
import { uuidSchema } from '#shared/schema/fields'

const UNKNOWN = { 'object.unknown': 'The request holds a field Piscator does not know. Take it out.' }

export const personIdSchema = uuidSchema("The person's id").required()
export const inviteIdSchema = uuidSchema("The invitation's id").required()
export const tripIdSchema = uuidSchema("The trip's id").required()

export const showSchema = Joi.object<{ may: SharingStep }>({
  may: Joi.string()
    .valid(...SHARING_STEPS)
    .label('What is shown')
    .required(),
})
  .label('The request')
  .messages(UNKNOWN)

const token = Joi.string()
  .pattern(/^[\w-]{22}$/)
  .label('The invitation')
  .messages({ 'string.pattern.base': 'That is no invitation. Open the link as it was sent.' })
export const tokenSchema = token.required()
export const joinSchema = Joi.object<{ token: string }>({ token: token.required() })
  .label('The request')
  .messages(UNKNOWN)

/** `GET /api/v1/crew`. */
export interface CrewAnswer {
  people: { id: string; name: string; may: SharingStep; shows: SharingStep; since: string }[]
  invites: { id: string; until: string }[]
  /** Who is aboard which of the angler's trips with a device of their own. */
  aboard: { tripId: string; id: string }[]
}
const step = Joi.string().valid(...SHARING_STEPS)
export const crewAnswerSchema = Joi.object<CrewAnswer>({
  people: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().required(),
        name: Joi.string().allow('').required(),
        may: step.required().description('what the angler shows them'),
        shows: step.required().description('what they show the angler'),
        since: Joi.string().required(),
      }),
    )
    .required(),
  invites: Joi.array()
    .items(Joi.object({ id: Joi.string().required(), until: Joi.string().required() }))
    .required(),
  aboard: Joi.array()
    .items(Joi.object({ tripId: Joi.string().required(), id: Joi.string().required() }))
    .required(),
})

/** `GET /api/v1/crew/{id}/days`: somebody's days as they show them. */
export interface DaysAnswer {
  days: SeenDay[]
}
