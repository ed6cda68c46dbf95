import { keepQueue } from '#server/utils/jobQueue'
import { worksOnJobs } from '#server/utils/role'

/** Every process may put jobs in the queue; one that works takes turns from it. */
export default defineNitroPlugin(() => keepQueue(worksOnJobs))
