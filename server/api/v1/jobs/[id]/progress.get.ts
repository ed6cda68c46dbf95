import { jobStatus } from '#server/jobs/jobs'
import type { JobStatus } from '#shared/schema/job'

/** How a job stands, as server-sent events, each the whole status as JSON, until it has ended. */
export default defineEventHandler(async event => {
  const { status, angler } = await ownJob(event)
  const device = deviceOf(event)
  refuseTooManyStreams(event, device)
  const stream = createEventStream(event)
  const over = countedStream(device, () => void stream.close())
  const tell = async (now: JobStatus | null) => {
    if (now) await stream.push(JSON.stringify(now))
    if (!now || now.endedAt) await stream.close()
  }
  const unsubscribe = newsLine(event).listen(
    status.id,
    () => void jobStatus(database(), angler, status.id).then(tell, () => {}),
  )
  stream.onClosed(() => {
    unsubscribe()
    over()
  })
  void jobStatus(database(), angler, status.id)
    .then(tell)
    .catch(() => {})
  return stream.send()
})
