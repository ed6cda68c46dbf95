import { rankInThread } from '#server/ranking/pool'
import { rememberingRanker } from '#server/services/recommendations'

/** The process's one way to rank. */
export const answerText = rememberingRanker(rankInThread)
