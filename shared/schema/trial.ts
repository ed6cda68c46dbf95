import Joi from 'joi'
import { group, list, required, whole } from '#core/request/field'
import type { Block, Verdict } from '#core/trial/verdict'
import { schemaOf } from '#shared/schema/fields'

const SEEDS = [0, 2 ** 32 - 1] as const

/** `POST /api/v1/trials/order`. */
export interface OrderRequest {
  blocks: number
  castsPerSpell: number
  seed: number
  anglers?: 1 | 2
}
const anglers = whole([1, 2], { name: 'The number of anglers', about: '1 when absent; two fish at once and swap' })
export const orderSchema = schemaOf(
  group(
    {
      blocks: required(whole([1, 500], { name: 'The number of blocks' })),
      castsPerSpell: required(whole([1, 200], { name: 'The casts of a spell' })),
      seed: required(whole(SEEDS, { name: 'The seed', about: 'the same seed gives the same order' })),
      anglers,
    },
    { name: 'The request' },
  ),
) as Joi.ObjectSchema<OrderRequest>

const side = (name: string) =>
  required(
    group(
      {
        casts: required(whole([0, 100_000], { name: 'The casts' })),
        bites: required(whole([0, 100_000], { name: 'The bites', about: 'casts that had a bite' })),
      },
      { name },
    ),
  )
const blocks = schemaOf(
  group(
    {
      blocks: required(
        list(group({ a: side('Side a'), b: side('Side b') }, { name: 'A block' }), 2000, {
          name: 'The blocks',
          least: 1,
        }),
      ),
      anglers,
    },
    { name: 'The request' },
  ),
) as Joi.ObjectSchema<{ blocks: readonly Block[] }>

/** A cast has a bite or has none. */
const notMoreBites = (value: { blocks: readonly Block[] }, helpers: Joi.CustomHelpers) =>
  value.blocks.some(b => b.a.bites > b.a.casts || b.b.bites > b.b.casts) ? helpers.error('bites.more') : value

/** `POST /api/v1/trials/verdict`. */
export const verdictSchema = blocks
  .custom(notMoreBites)
  .messages({ 'bites.more': 'A block has more bites than casts. Count each cast with a bite once.' })

const number = () => Joi.number().required()
const rate = () => Joi.object({ best: number(), low: number(), high: number() }).required()
export const orderAnswerSchema = Joi.object({
  spells: Joi.array()
    .items(
      Joi.object({
        block: Joi.number().integer().required(),
        side: Joi.string().valid('a', 'b').required(),
        spell: Joi.number().integer().min(1).max(2).description('for two: which of the block, fished by both at once'),
        angler: Joi.number().integer().min(1).max(2).description('for two'),
        position: Joi.string().valid('bow', 'stern').description('for two'),
      }),
    )
    .required(),
})
export const verdictAnswerSchema = Joi.object<Verdict>({
  evidence: number()
    .min(0)
    .description('an e-value, told up to 1e300: reaches 20 by chance alone in fewer than 5 of 100 tests'),
  verdict: Joi.string().valid('a', 'b', 'too-soon', 'alike').required(),
  moreCasts: Joi.number().integer().min(0).allow(null).required().description('null: more than a season’s'),
  rate: Joi.object({ a: rate(), b: rate() }).required().description('bites a cast: median, 5th and 95th percentile'),
  chanceABetter: number().min(0).max(1).description('the odds if one stopped for good now'),
  open: Joi.number().integer().min(0).required().description('blocks left out, their casts unequal so far'),
})
