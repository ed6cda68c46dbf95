import { expose } from 'comlink'
import { workBox } from './work'

expose({ work: workBox })
