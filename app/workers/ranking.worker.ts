import { expose } from 'comlink'
import { workScreen } from './screen'

const api = { work: workScreen }
export type RankingWorker = typeof api
expose(api)
