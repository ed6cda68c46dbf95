import type { KitRequest } from '#core/kit/request'
import type { SceneScores } from '#core/kit/scenes'
import { inPortions } from '#server/ranking/portions'
import { workInThread } from '#server/ranking/pool'
import { USUAL_SIZES } from '#shared/schema/kit'

/** Scenes scored between two others' requests: about a tenth of a second. */
const AT_ONCE = 20

/** A kit as JSON text: its scenes scored in portions, then covered. */
export async function kitInPortions({ scenes, owned, sizes, keep, drop }: KitRequest, signal: AbortSignal) {
  const scored: SceneScores[] = await inPortions(
    scenes,
    AT_ONCE,
    some => ({ kind: 'score-scenes', asked: some }),
    signal,
  )
  const [least, most] = sizes ?? USUAL_SIZES
  return workInThread({ kind: 'kit', asked: { scored, ask: { owned, sizes: [least!, most!], keep, drop } } })
}
