import Joi from 'joi'
import { PASSAGES } from '#core/lure/passage'
import { OPTICS_VERDICTS } from '#core/ranking/answer'
import type { LuresAnswer } from '#core/which-lure/answer'
import { LURES_REQUEST, type LuresRequest } from '#core/which-lure/request'
import { GATES, LURE_CUSTOM_WORDS } from '#core/words/lures'
import { DECIDERS } from '#core/words/pairs'
import { SENTENCE_CODES } from '#core/words/sentence'
import { schemaOf } from '#shared/schema/fields'
import { VOCABULARY } from '#shared/vocabulary'

/** `POST /api/v1/lures`: which lure here? */
export const luresSchema = schemaOf(LURES_REQUEST) as Joi.ObjectSchema<LuresRequest>

const word = (words: readonly string[]) =>
  Joi.string()
    .valid(...words)
    .required()
const metres = () => Joi.number().min(0).required().unit('m')
const said = Joi.object({
  code: word(SENTENCE_CODES),
  params: Joi.object().unknown().required().description('what the sentence was worded with, metric'),
  text: Joi.string().required(),
})
const span = Joi.object({ lowM: metres(), highM: metres() })
const list = (item: Joi.Schema) => Joi.array().items(item).required()
const lure = () => word(VOCABULARY.lure)
const side = () => word([...VOCABULARY.lure, 'knocking', 'silent'])

/** The answer of `POST /api/v1/lures`. Not checked at run time: the tests hold the engine to it. */
export const luresAnswerSchema = Joi.object<LuresAnswer>({
  version: Joi.string().valid('1').required(),
  here: list(
    Joi.object({
      lure: lure(),
      place: Joi.number().integer().min(1).required().description('shared where too close to call'),
      depthM: metres().description('where it is run here'),
      through: word(PASSAGES).description('how it comes through the cover at hand'),
      why: said.required(),
      but: said.allow(null).required().description('what speaks against it all the same'),
      seen: Joi.object({ sightM: metres(), colourM: metres() }).required(),
      felt: span.required().description('by the lateral line of a fish of 40 cm'),
      heard: span.allow(null).required(),
      silent: Joi.boolean().required(),
      senses: said.allow(null).required().description('which sense finds it first, where that is beyond doubt'),
      finish: Joi.object({ id: Joi.string().required(), name: Joi.string().required() }).required(),
      customs: list(Joi.object({ id: word(Object.keys(LURE_CUSTOM_WORDS)), verdict: word(OPTICS_VERDICTS) })),
    }),
  ).description('best first'),
  notHere: list(Joi.object({ lure: lure(), gate: word(GATES), why: said.required() })),
  pairs: list(
    Joi.object({
      a: side(),
      b: side(),
      wins: word(['a', 'b', 'either', 'neither']),
      by: word(DECIDERS),
      why: said.required(),
    }),
  ),
  says: list(said).description('of hearing in this water, whatever the lure'),
  assumed: list(
    Joi.object({
      path: Joi.string().required(),
      value: Joi.any().required(),
      because: Joi.string().required(),
      code: word(SENTENCE_CODES),
      params: Joi.object().unknown().required(),
    }),
  ),
})
