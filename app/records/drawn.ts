/** No frame comes while a page is not seen: then nothing waits for one longer than this, ms. */
const LONGEST_MS = 200

/** Once what has changed is on the screen. */
export const drawn = (): Promise<void> =>
  new Promise(resolve => {
    if (typeof requestAnimationFrame === 'undefined') return resolve()
    setTimeout(resolve, LONGEST_MS)
    requestAnimationFrame(() => setTimeout(resolve))
  })
