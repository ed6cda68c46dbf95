import type { KitRequest } from '#core/kit/request'
import type { KitScene, SceneScores } from '#core/kit/scenes'
import { type Asker, inChunks, chunk } from '#server/ranking/chunks'
import type { LongWork } from '#server/ranking/longWork'
import { pieces } from '#shared/pieces'
import { USUAL_SIZES } from '#shared/schema/kit'

/** Scenes scored, and scenes checked, between two others' requests: about a tenth of a second. */
const AT_ONCE = { scored: 20, checked: 100 } as const

/** What is asked of a kit, checked; throws a `FaultyError` where it is wrong. */
export async function checkedKit(input: unknown, asker: Asker): Promise<KitRequest> {
  const shell = await chunk<Omit<KitRequest, 'scenes'> & { scenes: unknown[] }>(
    { kind: 'check-kit', asked: input },
    asker,
  )
  const scenes: KitScene[] = await inChunks(
    shell.scenes,
    AT_ONCE.checked,
    (some, from) => ({ kind: 'check-scenes', asked: { scenes: some, from } }),
    asker,
  )
  return { ...shell, scenes }
}

/** The work of a kit: its scenes scored, then covered. */
export function kitWork({ scenes, owned, sizes, keep, drop }: KitRequest): LongWork {
  const [least, most] = sizes ?? USUAL_SIZES
  const ask = { owned, sizes: [least!, most!] as [number, number], keep, drop }
  return {
    parts: pieces(scenes, AT_ONCE.scored).map(some => ({ kind: 'score-scenes', asked: some })),
    whole: scored => ({ kind: 'kit', asked: { scored: scored.flat() as SceneScores[], ask } }),
  }
}
