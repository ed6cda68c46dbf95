import { jobAnswer } from '#server/jobs/jobs'

/** The answer of a job that is done, as it would have been given at once; 409 while it is not, or never will be. */
export default defineEventHandler(async event => {
  const { status, angler } = await ownJob(event)
  const text = await jobAnswer(database(), angler, status.id)
  if (text === null) {
    throw faultError(409, [{ path: '', code: `job-${status.state}`, message: 'This job has no answer, or not yet.' }])
  }
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  return text
})
