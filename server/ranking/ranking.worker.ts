import type { Request } from '#core/request/request'
import { recommend } from '#core/ranking/recommend'

/** A worker thread's work: the answer to a request as JSON text. */
export default (request: Request): string => JSON.stringify(recommend(request))
