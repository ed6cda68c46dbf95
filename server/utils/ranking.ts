import type { H3Event } from 'h3'
import type { Request } from '#core/request/request'
import type { Job } from '#server/ranking/jobs'
import { refuseWhenFull, workInThread } from '#server/ranking/pool'
import { remembering } from '#server/services/recommendations'
import { jsonBody } from './validated'

/** The process's one way to work something out. */
const answerText = remembering(workInThread)

/** The answer to a request for a ranking, as JSON text. */
export const rankingText = (asked: Request): Promise<string> => answerText({ kind: 'rank', asked })

/** The body of a request for work, unchecked; refused before it is read where nothing more could wait. */
export async function workableBody(event: H3Event, mostBytes?: number): Promise<unknown> {
  refuseWhenFull()
  return jsonBody(event, mostBytes)
}

/** The answer to a job, as the JSON text a thread made. */
export async function workedOut(event: H3Event, job: Job): Promise<string> {
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  return answerText(job)
}
