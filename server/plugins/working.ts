import { warmRanking } from '#server/ranking/pool'
import { keepQueue } from '#server/utils/jobQueue'
import { answersRequests, worksOnJobs } from '#server/utils/role'

/** Every process may put jobs in the queue; one that works takes turns from it, one that answers gets ready to. */
export default defineNitroPlugin(() => {
  keepQueue(worksOnJobs)
  // Where the bundle lies is known once all of it has been read.
  if (answersRequests) setImmediate(() => void warmRanking(logLater))
})
