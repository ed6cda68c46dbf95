import { checkedImport } from '#server/services/imports'

/** Most bytes of a file. */
const MOST_BYTES = 8 * 1024 * 1024

/** Takes a file of everything in, as a job: 202 with it; 422 where it is no such file. */
export default defineEventHandler(async event => {
  const input = await longBody(event, MOST_BYTES)
  return takenAsJob(event, 'import', asker => checkedImport(input, asker))
})
