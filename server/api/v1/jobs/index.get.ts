import { listJobs } from '#server/jobs/jobs'

/** This angler's jobs, the newest first. */
export default defineEventHandler(async event => {
  const angler = await anglerId(event)
  return { jobs: angler ? await listJobs(database(), angler) : [] }
})
