import { expose } from 'comlink'
import { workScreen } from './model'

const api = { work: workScreen }
export type RankingWorker = typeof api
expose(api)
