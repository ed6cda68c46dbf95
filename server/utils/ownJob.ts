import type { H3Event } from 'h3'
import { jobStatus } from '#server/jobs/jobs'
import { type JobStatus, jobIdSchema } from '#shared/schema/job'
import { anglerId } from './angler'
import { database } from './database'
import { faultError, validatedParam } from './validated'

/** The job in the address, and whose it is: 404 where it is not that of who asks. */
export async function ownJob(event: H3Event): Promise<{ status: JobStatus; angler: string }> {
  const id = validatedParam(event, 'id', jobIdSchema)
  const angler = await anglerId(event)
  const status = angler && (await jobStatus(database(), angler, id))
  if (!status) throw faultError(404, [{ path: 'id', code: 'unknown-job', message: 'You have no such job.' }])
  return { status, angler }
}
