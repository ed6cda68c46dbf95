/** Refused because too much waits already. */
export class TooBusyError extends Error {
  constructor(
    /** Seconds after which asking again makes sense. */
    readonly retryAfterS = 1,
  ) {
    super('too much waits')
  }
}

export interface LaneSettings {
  /** Jobs done at once. */
  threads: number
  /** Longest a job may wait for a thread, ms: what cannot begin by then is refused, at once where that is plain. */
  mostWaitMs: number
  /** Jobs of one device that may wait. */
  mostOfOne: number
  /** What a job is taken to last before any was seen, ms. */
  typicalMs: number
}

interface Waiting {
  begin: () => void
}

/** Weight of the newest job in what a job is taken to last. */
const NEWEST = 0.1

/**
 * Turns of many devices at a few threads: whoever has waited longest among the devices goes next, then the next
 * device, however many jobs one of them has.
 * @param now the clock, ms
 */
export function makeLane({ threads, mostWaitMs, mostOfOne, typicalMs }: LaneSettings, now: () => number) {
  /** In the order in which devices have their turns. */
  const queues = new Map<string, Waiting[]>()
  let running = 0
  let waiting = 0
  let lastsMs = typicalMs

  const expectedMs = () => (waiting * lastsMs) / threads

  function next(): void {
    while (running < threads) {
      const [first] = queues
      if (!first) return
      const [device, queue] = first
      queues.delete(device)
      const job = queue.shift()!
      waiting--
      if (queue.length) queues.set(device, queue)
      job.begin()
    }
  }

  /** Wait for a turn. Rejects with a `TooBusyError`, or with the signal's reason. */
  function turn(device: string, signal?: AbortSignal): Promise<void> {
    signal?.throwIfAborted()
    const queue = queues.get(device) ?? []
    if (queue.length >= mostOfOne || expectedMs() > mostWaitMs) {
      throw new TooBusyError(Math.max(1, Math.ceil(Math.min(expectedMs(), 10_000) / 1000)))
    }
    return new Promise((resolve, reject) => {
      const leave = (reason: unknown) => {
        const at = queue.indexOf(job)
        if (at < 0) return
        queue.splice(at, 1)
        waiting--
        if (!queue.length) queues.delete(device)
        done()
        reject(reason)
      }
      const timer = Number.isFinite(mostWaitMs) && setTimeout(() => leave(new TooBusyError()), mostWaitMs)
      const gone = () => leave(signal!.reason)
      const done = () => {
        if (timer) clearTimeout(timer)
        signal?.removeEventListener('abort', gone)
      }
      const job: Waiting = {
        begin: () => {
          done()
          running++
          resolve()
        },
      }
      signal?.addEventListener('abort', gone)
      queue.push(job)
      queues.set(device, queue)
      waiting++
      next()
    })
  }

  return {
    /** Do a job in its turn. */
    async run<T>(device: string, work: () => Promise<T>, signal?: AbortSignal): Promise<T> {
      await turn(device, signal)
      const began = now()
      try {
        return await work()
      } finally {
        running--
        lastsMs += NEWEST * (now() - began - lastsMs)
        next()
      }
    },
    /** Whether a job of this device would be refused now. */
    refuses: (device: string) => (queues.get(device)?.length ?? 0) >= mostOfOne || expectedMs() > mostWaitMs,
    get waiting() {
      return waiting
    },
  }
}
export type JobLane = ReturnType<typeof makeLane>
