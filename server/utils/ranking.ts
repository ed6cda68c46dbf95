import type { H3Event } from 'h3'
import type { Request } from '#core/request/request'
import { type LongAsk, type LongKind, longWork } from '#server/jobs/kinds'
import { admissionFull, admitted } from '#server/ranking/admission'
import type { Job } from '#server/ranking/jobs'
import { TooBusyError } from '#server/ranking/lane'
import { type Asker, FaultyError, textOf } from '#server/ranking/chunks'
import { workedThrough } from '#server/ranking/longWork'
import { refuseWhenFull, workInThread } from '#server/ranking/pool'
import { memoize } from '#server/services/recommendations'
import { deviceOf } from './deviceKey'
import { asJob } from './jobQueue'
import { answeredInPieces, goneOf } from './pieces'
import { faultError, jsonBody } from './validated'

/** The process's one way to work something out. */
const answerTo = memoize(workInThread)

/** The answer to a request for a ranking, as JSON text. */
export const rankingText = async (event: H3Event, asked: Request): Promise<string> =>
  textOf(await answerTo({ kind: 'rank', asked }, deviceOf(event)))

/** The body of a request for a glance, unchecked; refused before it is read where it would wait too long. */
export async function glanceBody(event: H3Event): Promise<unknown> {
  refuseWhenFull(deviceOf(event))
  return jsonBody(event)
}

/** The body of a request for long work, unchecked; refused before it is read where the device has enough under way. */
export async function longBody(event: H3Event, mostBytes?: number): Promise<unknown> {
  if (admissionFull(deviceOf(event))) throw new TooBusyError(3)
  return jsonBody(event, mostBytes)
}

/** What is wrong with what was asked is a 422 with its faults. */
async function faultsTold<T>(work: Promise<T>): Promise<T> {
  try {
    return await work
  } catch (error) {
    throw error instanceof FaultyError ? faultError(422, error.faults) : error
  }
}

/** The answer to a job, as the JSON text a thread made. Whoever hangs up frees the thread. */
export async function workedOut(event: H3Event, job: Job): Promise<string> {
  const text = await faultsTold(answerTo(job, deviceOf(event), goneOf(event)).then(textOf))
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  return text
}

/** What a job on something known comes to. */
export const inThread = async <T>(event: H3Event, job: Job): Promise<T> =>
  JSON.parse(textOf(await workInThread(job, deviceOf(event), goneOf(event)))) as T

/** The answer to one long job, in its device's turn and in pieces where it takes long. */
export const longJob = (event: H3Event, job: Job) =>
  atLength(
    event,
    ({ device, signal }) => answerTo(job, device, signal).then(textOf),
    text => Promise.resolve(text),
  )

/** What a client would rather have (RFC 7240): long work as a job, to be fetched later. */
const wantsJob = (event: H3Event) => /(^|,)\s*respond-async\s*(,|;|$)/i.test(getRequestHeader(event, 'prefer') ?? '')

/** Long work as a job, once what was asked is checked. @param check gives what was asked, checked */
export async function takenAsJob<K extends LongKind>(
  event: H3Event,
  kind: K,
  check: (asker: Asker) => Promise<LongAsk<K>>,
) {
  const asker = { device: deviceOf(event), signal: goneOf(event) }
  return asJob(event, kind, await faultsTold(admitted(asker.device, () => check(asker))))
}

/**
 * The answer to long work, in pieces where it takes long; or a job, where that is preferred. What was asked is checked
 * first, in its turn too: faults are told before anything is sent.
 * @param check gives what was asked, checked
 */
export async function workedOutAtLength<K extends LongKind>(
  event: H3Event,
  kind: K,
  check: (asker: Asker) => Promise<LongAsk<K>>,
) {
  if (wantsJob(event)) return takenAsJob(event, kind, check)
  return atLength(event, check, (asked, asker) => workedThrough(longWork(kind, asked), asker))
}

async function atLength<T>(
  event: H3Event,
  check: (asker: Asker) => Promise<T>,
  work: (asked: T, asker: Asker) => Promise<string>,
) {
  const asker = { device: deviceOf(event), signal: goneOf(event) }
  let tell: (asked: T) => void
  let refuse: (error: unknown) => void
  const ready = new Promise<T>((resolve, reject) => {
    tell = resolve
    refuse = reject
  })
  const answer = admitted(asker.device, async () => {
    const asked = await check(asker).catch((error: unknown) => {
      refuse(error)
      throw error
    })
    tell(asked)
    return work(asked, asker)
  })
  // Said by `ready` where it was refused before it began.
  answer.catch((error: unknown) => refuse(error))
  await faultsTold(ready)
  return answeredInPieces(event, answer)
}
