import { jobStatus } from '#server/jobs/jobs'

/** How a job stands, as server-sent events, each the whole status as JSON, until it has ended. */
export default defineEventHandler(async event => {
  const { status, angler } = await ownJob(event)
  const device = deviceOf(event)
  refuseTooManyStreams(event, device)
  const stream = createEventStream(event)
  const over = countedStream(device, () => void stream.close())
  const tell = async () => {
    const now = await jobStatus(database(), angler, status.id)
    if (now) await stream.push(JSON.stringify(now))
    if (!now || now.endedAt) await stream.close()
  }
  // Whoever has gone hears nothing more; whoever has not is told with the next part.
  const look = () => void tell().catch(() => {})
  const unsubscribe = newsLine(event).listen(status.id, look)
  stream.onClosed(() => {
    unsubscribe()
    over()
  })
  look()
  return stream.send()
})
