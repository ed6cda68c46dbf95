/** How a job stands; 404 where it is not this angler's. */
export default defineEventHandler(async event => (await ownJob(event)).status)
