/** Streams open at once in one process, and how often one tells what is new and that it is still there, ms. */
const MOST = 200
const [EVERY_MS, BEAT_MS] = [1000, 5000]

/** What instruments tell, as server-sent events, each the whole board as JSON: 503 where too many listen. */
export default defineEventHandler(event => {
  const board = useInstruments(event)
  if (board.listeners >= MOST) {
    setResponseHeader(event, 'retry-after', 30)
    throw faultError(503, [{ path: '', code: 'busy', message: 'Too many listen to the instruments just now.' }])
  }
  const stream = createEventStream(event)
  let fresh = true
  let toldMs = 0
  const deaf = board.listen(() => (fresh = true))
  const tell = async () => {
    if (!fresh && Date.now() - toldMs < BEAT_MS) return
    fresh = false
    toldMs = Date.now()
    await stream.push(JSON.stringify(board.now()))
  }
  const timer = setInterval(() => void tell().catch(() => {}), EVERY_MS)
  void tell().catch(() => {})
  stream.onClosed(() => {
    clearInterval(timer)
    deaf()
  })
  return stream.send()
})
