import { readFileSync } from 'node:fs'
import { constants, setPriority } from 'node:os'
import { possibleWaters } from '#core/evidence/possible'
import { createEngine } from '#core/index'
import { workerOf } from '#server/ranking/jobs'

// Linux counts a priority by thread: the thread that answers goes before those that rank, and a ranking before long
// work. Elsewhere it would slow the whole server down.
const isLong = process.argv.includes('long')
if (process.platform === 'linux') {
  const { PRIORITY_BELOW_NORMAL, PRIORITY_LOW } = constants.priority
  setPriority(isLong ? PRIORITY_LOW : PRIORITY_BELOW_NORMAL)
}

// The build lays the table beside this file.
const engine = createEngine(readFileSync(new URL('light.table', import.meta.url)))
// Which waters there may be takes half a second to work out: done before anybody asks.
if (isLong) possibleWaters(false)

/** A worker thread's work: the answer to a job as JSON text, or what is wrong with what was asked. */
export default workerOf(engine)
