import { expose } from 'comlink'
import { workBench } from './work'

expose({ work: workBench })
