import '../../tests/lightTable'
import { existsSync } from 'node:fs'
import { benchAnswers, benchServer } from './answers'
import { benchBox } from './box'
import { benchCores } from './cores'
import { benchDay } from './day'
import { benchDrag } from './drag'
import { benchGrowth } from './growth'
import { benchKit } from './kit'
import { benchOptics } from './optics'
import { benchReadings } from './readings'
import { benchLures } from './lures'
import { benchLog } from './log'
import { benchStability } from './stability'
import { benchSentences } from './sentences'
import { benchPool } from './pool'
import { benchSeason } from './season'
import { benchTrial } from './trial'
import { benchVisit } from './visit'

/**
 * Bundled first, as the app has the engine: a runner that keeps names would charge for them at every call.
 * `npm run bench [optics|answers|stability|sentences|readings|season|lures|trial|day|kit|server|drag|log|box]`;
 * `growth`, `cores` and `visit` take minutes and are run where they are named. Times and ratios, printed, never
 * asserted: machines differ, and a slow morning is no fault in the code.
 */
const wanted = process.argv.slice(2)
const run = (name: string) => !wanted.length || wanted.includes(name)
if (run('optics')) benchOptics()
if (run('answers')) benchAnswers()
if (run('stability')) benchStability()
if (run('readings')) benchReadings()
if (run('sentences')) benchSentences()
if (run('season')) benchSeason()
if (run('pool')) benchPool()
if (run('lures')) benchLures()
if (run('trial')) benchTrial()
if (run('day')) benchDay()
if (run('kit')) await benchKit()
if (['server', 'drag', 'log', 'box', 'growth', 'cores', 'visit'].some(run) && !existsSync('.output/server/index.mjs'))
  console.log('\nBuild first (./run demo) for the server, drag, log and box benchmarks.')
else {
  if (wanted.includes('growth')) await benchGrowth()
  if (wanted.includes('cores')) await benchCores()
  if (wanted.includes('visit')) await benchVisit()
  if (run('server')) await benchServer()
  if (run('drag')) await benchDrag()
  if (run('log')) await benchLog()
  if (run('box')) await benchBox()
}
