/** A worker as far as this room needs one: it works, says when it breaks, and can be ended. */
export interface Hand<Ask, Answer> {
  work: (ask: Ask) => Promise<Answer>
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
 * @param makeHand makes a worker; may throw where workers are refused
 * @param onPage works on the page; rejects where even its code cannot be had
 */
export function workerHand<Ask, Answer>(makeHand: () => Hand<Ask, Answer>, onPage: (ask: Ask) => Promise<Answer>) {
  let hand: Hand<Ask, Answer> | null = null
  let broken: Promise<never> | null = null
  let failures = 0

  function take(): Hand<Ask, Answer> {
    if (hand) return hand
    const made = makeHand()
    broken = new Promise((_, reject) =>
      made.onBroken(() => {
        if (hand === made) drop()
        reject(new Error('the worker broke down'))
      }),
    )
    // Whoever is not waiting when it breaks need not hear of it.
    broken.catch(() => {})
    return (hand = made)
  }

  function drop(): void {
    hand?.end()
    hand = null
  }

  async function work(ask: Ask): Promise<Answer> {
    while (failures <= RETRIES) {
      try {
        const taken = take()
        return await heard(Promise.race([taken.work(ask), broken!]))
      } catch {
        failures++
        drop()
      }
    }
    return onPage(ask)
  }
  return { work, end: drop }
}

/** The same answer, or a rejection once nothing was heard for too long. */
function heard<Answer>(answer: Promise<Answer>): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error('the worker is silent')), SILENT_MS)
    answer.then(resolve, reject).finally(() => clearTimeout(timer))
  })
}
