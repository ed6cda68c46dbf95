/**
 * How long everything a request asks of the database may take together, ms: a frozen one holds up the first query, and
 * the taking back of its transaction after it. An answer leaves within the three seconds it may take.
 */
const MOST_MS = 2500

/** What was asked of the database took longer than anybody waits. Whether it was done is not known. */
export class OutOfTimeError extends Error {}

/** Work on the database, given up after as long as an answer may take. */
export async function inTime<T>(work: Promise<T>, mostMs = MOST_MS): Promise<T> {
  let timer: ReturnType<typeof setTimeout>
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new OutOfTimeError('the database took too long')), mostMs)
  })
  // Heard or not, how it ends in the end is no fault of the process.
  work.catch(() => {})
  try {
    return await Promise.race([work, late])
  } finally {
    clearTimeout(timer!)
  }
}
