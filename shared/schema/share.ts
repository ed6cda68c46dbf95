import Joi from 'joi'
import type { DayRequest } from '#core/day/request'
import type { Request } from '#core/request/request'
import type { Block } from '#core/trial/verdict'
import type { UnitSystem } from '#core/units'
import { daySchema } from '#shared/schema/day'
import { requestSchema } from '#shared/schema/request'
import { verdictSchema } from '#shared/schema/trial'
import { VOCABULARY } from '#shared/vocabulary'

export const SHARE_KINDS = ['call', 'plan', 'box', 'verdict'] as const
export type ShareKind = (typeof SHARE_KINDS)[number]
/** How long a link is good, days: at most, and where it is not said. */
export const SHARE_DAYS = { most: 365, usual: 14 } as const

/** What is to be shown; `days` null: until it is taken back. */
export type ShareInput = { days?: number | null; units?: UnitSystem } & (
  | { kind: 'call'; asked: Request; finishId: string }
  | { kind: 'plan'; asked: DayRequest }
  | { kind: 'box' }
  | { kind: 'verdict'; finishIds: [string, string]; blocks: Block[] }
)

const finishId = Joi.string()
  .pattern(/^[a-z-]+\.[a-z0-9-]+$/)
  .max(80)
  .label('The finish')
const verdictBlocks = (verdictSchema as Joi.ObjectSchema).extract('blocks')
export const shareSchema = Joi.object<ShareInput>({
  kind: Joi.string()
    .valid(...SHARE_KINDS)
    .label('What is shown')
    .required(),
  days: Joi.number().strict().integer().min(1).max(SHARE_DAYS.most).allow(null).label('The days it is good'),
  units: Joi.string()
    .valid(...VOCABULARY.units)
    .label('Units'),
  asked: Joi.when('kind', {
    switch: [
      { is: 'call', then: requestSchema.required() },
      { is: 'plan', then: daySchema.required() },
    ],
    otherwise: Joi.forbidden(),
  }),
  finishId: Joi.when('kind', { is: 'call', then: finishId.required(), otherwise: Joi.forbidden() }),
  finishIds: Joi.when('kind', {
    is: 'verdict',
    then: Joi.array().items(finishId).length(2).label('The two finishes').required(),
    otherwise: Joi.forbidden(),
  }),
  blocks: Joi.when('kind', { is: 'verdict', then: verdictBlocks.required(), otherwise: Joi.forbidden() }),
})
  .label('The request')
  .messages({ 'object.unknown': 'The request holds a field Piscator does not know. Take it out.' })

export const shareIdSchema = Joi.string()
  .pattern(/^[\w-]{22}$/)
  .label('The link')
  .required()

/** A link as its owner sees it. */
export interface ShareOut {
  id: string
  kind: ShareKind
  title: string
  /** What it shows, for a small picture in the list. */
  finishId: string | null
  createdAt: string
  until: string | null
  openings: number
}
export const shareOutSchema = Joi.object<ShareOut>({
  id: Joi.string().required().description('the page is at /s/ and this'),
  kind: Joi.string()
    .valid(...SHARE_KINDS)
    .required(),
  title: Joi.string().required(),
  finishId: Joi.string().allow(null).required(),
  createdAt: Joi.string().required(),
  until: Joi.string().allow(null).required(),
  openings: Joi.number().integer().required(),
})
