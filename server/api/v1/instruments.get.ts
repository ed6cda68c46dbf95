import type { Board } from '#shared/instruments'

/** How often one tells what is new and that it is still there, ms. */
const [EVERY_MS, BEAT_MS] = [1000, 5000]
/** How often it is looked whether who listens is an angler of this place, ms. */
const LOOK_MS = 15_000

/** The board as anybody may see it: where the boat is, is told to those who belong here. */
function withoutPlace(board: Board): Board {
  const { latitude: _a, longitude: _b, ...told } = board.told
  return { ...board, told }
}

/** What instruments tell, as server-sent events, each the whole board as JSON: 503 where too many listen. */
export default defineEventHandler(async event => {
  const device = deviceOf(event)
  refuseTooManyStreams(event, device)
  const board = useInstruments(event)
  let belongs = await isKnownAngler(event)
  let lookedMs = Date.now()
  const stream = createEventStream(event)
  const over = countedStream(device, () => void stream.close())
  let fresh = true
  let toldMs = 0
  const unsubscribe = board.listen(() => (fresh = true))
  const tell = async () => {
    if (!fresh && Date.now() - toldMs < BEAT_MS) return
    fresh = false
    toldMs = Date.now()
    if (toldMs - lookedMs > LOOK_MS) {
      lookedMs = toldMs
      belongs = await isKnownAngler(event)
    }
    const now = board.now()
    await stream.push(JSON.stringify(belongs ? now : withoutPlace(now)))
  }
  const timer = setInterval(() => void tell().catch(() => {}), EVERY_MS)
  void tell().catch(() => {})
  stream.onClosed(() => {
    clearInterval(timer)
    unsubscribe()
    over()
  })
  return stream.send()
})
