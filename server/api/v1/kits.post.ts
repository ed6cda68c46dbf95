import { kitInPortions } from '#server/services/kits'
import { kitShellSchema, sceneSchema } from '#shared/schema/kit'

/** Most bytes of a kit: 2,000 scenes of some 600 bytes. */
const MOST_BYTES = 1536 * 1024

/** The few that cover the rest: 200 with the contract's answer, in pieces where it takes long; 422 per fault. */
export default defineEventHandler(async event => {
  const { scenes, ...ask } = validated(kitShellSchema, await workableBody(event, MOST_BYTES))
  const checked = await validatedEach(sceneSchema, scenes, 'scenes')
  return answeredInPieces(event, signal => kitInPortions({ ...ask, scenes: checked }, signal))
})
