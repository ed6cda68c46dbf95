import { type ShareInput, shareSchema } from '#shared/schema/share'
import type { Shared, SharedCall, SharedPlan, SharedVerdict } from '#shared/share'
import { freezeBox } from '#server/shares/freeze'
import { MOST_SHARES, carriedLures, makeShare } from '#server/shares/shares'
import { workedThrough } from '#server/ranking/longWork'
import { dayWork } from '#server/services/dayPlans'

/** Most bytes of what is shown: a day with all its finishes. */
const MOST_BYTES = 128 * 1024

const FULL = { path: '', code: 'full', message: `No more than ${MOST_SHARES} links at once. Take one back first.` }
const UNKNOWN_FINISH = { path: 'finishId', code: 'unknown', message: 'That finish is not one of the lure.' }
const EMPTY_BOX = { path: '', code: 'empty', message: 'There is nothing in the box that was sent here yet.' }

/**
 * Makes a link that shows one thing as it is now: 200 with it. What is shown is worked out here, and never holds a
 * place, the name of a water or a log.
 */
export default defineEventHandler(async event => {
  const input = validated(shareSchema, await jsonBody(event, MOST_BYTES))
  const angler = await ensureAngler(event)
  const shared = await frozen(event, angler, input)
  const made = await makeShare(database(), angler, shared, input.days)
  if (!made) throw faultError(409, [FULL])
  // What messages show of it is drawn meanwhile.
  await besides(event, { anglerId: angler, kind: 'preview', asked: { id: made.id, shared } })
  return made
})

async function frozen(event: Parameters<typeof deviceOf>[0], angler: string, input: ShareInput): Promise<Shared> {
  switch (input.kind) {
    case 'call': {
      const { asked, finishId } = input
      const call = await inThread<SharedCall | null>(event, { kind: 'freeze-call', asked: { asked, finishId } })
      if (!call) throw faultError(422, [UNKNOWN_FINISH])
      return call
    }
    case 'plan': {
      const asked = await inThread<typeof input.asked>(event, { kind: 'freeze-day', asked: input.asked })
      const asker = { device: deviceOf(event), signal: goneOf(event) }
      const answer = JSON.parse(await workedThrough(dayWork(asked), asker)) as never
      return inThread<SharedPlan>(event, { kind: 'freeze-plan', asked: { asked, answer } })
    }
    case 'box': {
      const box = freezeBox(await carriedLures(database(), angler))
      if (!box.lures.length) throw faultError(422, [EMPTY_BOX])
      return box
    }
    case 'verdict': {
      const { finishIds, blocks } = input
      const verdict = await inThread<SharedVerdict | null>(event, {
        kind: 'freeze-verdict',
        asked: { finishIds, blocks },
      })
      if (!verdict) throw faultError(422, [UNKNOWN_FINISH])
      return verdict
    }
  }
}
