import { expose } from 'comlink'
import { workTwoLures } from './twoLures'

const api = { work: workTwoLures }
export type TwoLuresWorker = typeof api
expose(api)
