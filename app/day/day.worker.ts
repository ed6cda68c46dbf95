import { expose } from 'comlink'
import { workDay } from './work'

expose({ work: workDay })
