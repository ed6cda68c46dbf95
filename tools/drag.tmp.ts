import * as d from './bench/drag'
