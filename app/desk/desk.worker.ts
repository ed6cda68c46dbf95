import { expose } from 'comlink'
import { workDesk } from './work'

expose({ work: workDesk })
