import type { RecordKind } from '#shared/schema/record'
import type { SyncEvent } from '#shared/schema/sync'

/** What brings a body from one version of its kind to the next. */
type Step = (body: object) => object

/**
 * The steps of each kind whose bodies have not always been what they are now: the first brings version 1 to 2. A step
 * is never changed once it has been let out; what changes later is another step.
 */
const STEPS: { readonly [Kind in RecordKind]?: readonly Step[] } = {
  // Plans were kept without what is tied on when.
  plan: [body => ({ spells: [], ...body })],
}

// Kinds come from outside too, where a word may be the name of something every object has.
const stepsOf = (kind: RecordKind): readonly Step[] => (Object.hasOwn(STEPS, kind) ? STEPS[kind]! : [])

/** The version of a kind's bodies now. */
export const versionOf = (kind: RecordKind): number => 1 + stepsOf(kind).length

/** An event with its body as its kind is now, whichever version of Piscator wrote it; a newer one is left as it is. */
export function upToDate(event: SyncEvent): SyncEvent {
  const { kind, version = 1, body } = event
  const isVersion = Number.isInteger(version) && version >= 1
  const steps = isVersion ? stepsOf(kind).slice(version - 1) : []
  if (typeof body !== 'object' || body === null || !steps.length) return event
  const now = steps.reduce<object>((older, step) => step(older), body)
  return { ...event, version: version + steps.length, body: now as SyncEvent['body'] }
}
