import { stopJob } from '#server/jobs/jobs'
import { jobIdSchema } from '#shared/schema/job'

/** Stops a job, or forgets one that has ended: 204, also where it is not there. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', jobIdSchema)
  const angler = await anglerId(event)
  if (angler) await stopJob(database(), jobQueue(event), angler, id)
  return sendNoContent(event)
})
