import { expose } from 'comlink'
import { workDesk } from './work'

const api = { work: workDesk }
export type DeskWorker = typeof api
expose(api)
