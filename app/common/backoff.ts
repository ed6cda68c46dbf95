/** How soon to try again while something waits or the server is away, ms: doubled each time up to the longest. */
const AGAIN_MS = 4000
const LONGEST_MS = 60_000

/** Trying again later and later: one try waits at a time, and what went well begins anew. */
export function backoff(go: () => void) {
  let timer: ReturnType<typeof setTimeout> | null = null
  let tries = 0
  function again(): void {
    if (timer) return
    timer = setTimeout(
      () => {
        timer = null
        go()
      },
      Math.min(LONGEST_MS, AGAIN_MS * 2 ** tries++),
    )
  }
  return {
    again,
    /** It went well. */
    well: () => {
      tries = 0
    },
    waits: () => timer !== null,
  }
}
