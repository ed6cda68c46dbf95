import Joi from 'joi'
import type { KitAnswer } from '#core/kit/kit'
import { KIT_REQUEST, type KitRequest, SCENE } from '#core/kit/request'
import type { KitScene } from '#core/kit/scenes'
import { schemaOf } from '#shared/schema/fields'

/** No kit both keeps and leaves out the same, and none is smaller than what it keeps. */
const possible = (value: KitRequest, helpers: Joi.CustomHelpers) => {
  const [least, most] = value.sizes ?? USUAL_SIZES
  if (most! < least!) return helpers.error('kit.sizes')
  if (value.keep && value.keep.length > most!) return helpers.error('kit.keeps')
  return value.keep?.some(id => value.drop?.includes(id)) ? helpers.error('kit.both') : value
}
const MESSAGES = {
  'kit.sizes': 'The largest kit is smaller than the smallest. Put the smaller number first.',
  'kit.keeps': 'More lures are kept than the largest kit holds. Keep fewer or allow a larger kit.',
  'kit.both': 'A lure is both kept and left out. Choose one.',
}

/** Kits of these sizes are worked out where none are asked for. */
export const USUAL_SIZES: readonly [number, number] = [1, 12]

/** `POST /api/v1/kits`, whole: what the description tells. */
export const kitSchema = (schemaOf(KIT_REQUEST) as Joi.ObjectSchema<KitRequest>).custom(possible).messages(MESSAGES)

/** The same with its scenes unread: they are many, and are held to `sceneSchema` a few at a time. */
const { name, most } = KIT_REQUEST.fields.scenes
const unread = Joi.array()
  .min(1)
  .max(most)
  .required()
  .label(name)
  .messages({ 'array.min': `${name} need at least one entry.` })
export const kitShellSchema = kitSchema.keys({ scenes: unread }) as Joi.ObjectSchema<
  Omit<KitRequest, 'scenes'> & { scenes: unknown[] }
>
export const sceneSchema = schemaOf(SCENE) as Joi.ObjectSchema<KitScene>

const ids = () => Joi.array().items(Joi.string()).required()
const rows = (fields: Joi.SchemaMap) =>
  Joi.array()
    .items(Joi.object(fields).options({ presence: 'required' }))
    .required()
export const kitAnswerSchema = Joi.object<KitAnswer>({
  curve: rows({
    size: Joi.number().integer(),
    share: Joi.number().min(0).max(1).description('of what the whole catalogue would score'),
    cover: Joi.number().min(0).max(1).description('the same against the middle of the catalogue: what screens say'),
    finishIds: ids().description('fewer than the size where more would add nothing'),
    proven: Joi.boolean().description('no kit of this size is better'),
  }),
  gaps: rows({
    finishId: Joi.string(),
    gain: Joi.number().description('share it adds to all that is owned'),
  }),
  never: ids().description('owned, and in no scene one of the three best or the same to the fish as one'),
})
