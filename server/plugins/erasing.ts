import { eraseDue } from '#server/accounts/erasing'

/** How often what was taken away is looked for, ms. */
const EVERY_MS = 60_000

/** Erases what was taken away and can no longer be brought back; every process may, and what one did is done. */
export default defineNitroPlugin(nitro => {
  let at: Promise<unknown> = Promise.resolve()
  const timer = setInterval(() => (at = eraseDue(database()).catch(logLater)), EVERY_MS)
  timer.unref()
  nitro.hooks.hook('close', async () => {
    clearInterval(timer)
    await at
  })
})
