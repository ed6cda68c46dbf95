import { expose } from 'comlink'
import { workBox } from './work'

const api = { work: workBox }
export type BoxWorker = typeof api
expose(api)
