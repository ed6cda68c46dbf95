import { expose } from 'comlink'
import { workDay } from './work'

const api = { work: workDay }
export type DayWorker = typeof api
expose(api)
