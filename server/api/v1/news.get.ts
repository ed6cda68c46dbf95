/** How often one tells that it is still there, and looks whether who listens still may, ms. */
const BEAT_MS = 25_000

/**
 * That something new is there, as server-sent events that hold nothing else: whoever hears one asks `/sync`. 204, which
 * no browser tries again, where nothing is kept yet or the session was ended; 503 where too many listen.
 */
export default defineEventHandler(async event => {
  const device = deviceOf(event)
  refuseTooManyStreams(event, device)
  const session = await readSession(event)
  if (!session || !(await isKnownAngler(event))) return sendNoContent(event)
  const stream = createEventStream(event)
  const over = countedStream(device, () => void stream.close())
  const push = (name: string) => void stream.push({ event: name, data: '' }).catch(() => {})
  // A session that was ended hears of that, and of nothing after it.
  const told = async (name: string) => {
    push(name)
    if (!(await isKnownAngler(event))) await stream.close()
  }
  const unsubscribe = newsLine(event).listen(session.anglerId, by => {
    if (by !== session.id) void told('news').catch(() => {})
  })
  const timer = setInterval(() => void told('beat').catch(() => {}), BEAT_MS)
  stream.onClosed(() => {
    clearInterval(timer)
    unsubscribe()
    over()
  })
  push('beat')
  return stream.send()
})
