/** The functions of an API as they are asked from elsewhere: each answers later. */
export type Answering<Api> = {
  [Name in keyof Api]: Api[Name] extends (...args: infer Args) => infer Result
    ? (...args: Args) => Promise<Awaited<Result>>
    : never
}

/** A worker as far as its client needs one: its API, when it breaks, and its end. */
export interface WorkerLink<Api> {
  api: Answering<Api>
  /** Called once when the worker could not be loaded or broke down. */
  onBroken: (tell: () => void) => void
  end: () => void
}

/** A worker that breaks is made anew so many times; after that the page does the work. */
const RETRIES = 1
/** A worker that has said nothing for this long is taken for broken, ms: hundreds of times what an answer takes. */
const SILENT_MS = 8000

/**
 * Who does heavy work for the page: a worker while one is to be had, the page itself where none is. A worker that is
 * refused, cannot be loaded or breaks down gives back what it was working on: a new one takes it up once, then the
 * page does, slower but the same. One that stays silent is taken for broken.
 * @param makeWorker makes a worker; may throw where workers are refused
 * @param onPage the same API on the page; rejects where even its code cannot be had
 */
export function workerClient<Api extends object>(makeWorker: () => WorkerLink<Api>, onPage: () => Promise<Api>) {
  type Method = (...args: unknown[]) => Promise<unknown>
  let link: WorkerLink<Api> | null = null
  let broken: Promise<never> | null = null
  let failures = 0

  function take(): WorkerLink<Api> {
    if (link) return link
    const made = makeWorker()
    broken = new Promise((_, reject) =>
      made.onBroken(() => {
        if (link === made) end()
        reject(new Error('the worker broke down'))
      }),
    )
    // Whoever is not waiting when it breaks need not hear of it.
    broken.catch(() => {})
    return (link = made)
  }

  function end(): void {
    link?.end()
    link = null
  }

  async function ask(name: PropertyKey, args: unknown[]): Promise<unknown> {
    while (failures <= RETRIES) {
      try {
        const { api } = take()
        const answer = (api as Record<PropertyKey, Method>)[name]!(...args)
        return await answeredInTime(Promise.race([answer, broken!]))
      } catch {
        failures++
        end()
      }
    }
    return ((await onPage()) as Record<PropertyKey, Method>)[name]!(...args)
  }
  const api = new Proxy({} as Answering<Api>, {
    get:
      (_, name) =>
      (...args: unknown[]) =>
        ask(name, args),
  })
  return { api, end }
}

/** The same answer, or a rejection once nothing came for too long. */
function answeredInTime<Answer>(answer: Promise<Answer>): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error('the worker is silent')), SILENT_MS)
    answer.then(resolve, reject).finally(() => clearTimeout(timer))
  })
}
