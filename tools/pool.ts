import { readFileSync } from 'node:fs'
import { type PoolShare, poolOf } from '#core/season-learning/pool'
import { SCHOOLS, SCHOOL_IDS } from '#core/words/schools'

/** `npm run pool -- share.json …`: shares of many anglers' logs added up, and the prior they give to each. */
const files = process.argv.slice(2)
const pool = poolOf(files.map(file => JSON.parse(readFileSync(file, 'utf8')) as PoolShare))
if ('code' in pool) {
  const WHY = {
    'too-few': `${pool.at} shares are no pool: it takes twenty.`,
    'another-engine': `${files[pool.at]} is of another version of the engine.`,
    'not-a-share': `${files[pool.at]} is no share of a log.`,
  }
  console.error(WHY[pool.code])
  process.exitCode = 1
} else {
  const row = (name: string, i: number) =>
    console.log(`${name.padEnd(34)} ${pool.mean[i]!.toFixed(3).padStart(7)} ± ${pool.sd[i]!.toFixed(3)}`)
  console.log(`${pool.anglers} anglers, ${pool.comparedBites} compared bites; the prior of each from now on:`)
  row('the engine’s slope', 0)
  SCHOOL_IDS.forEach((id, s) => row(SCHOOLS[id].words, s + 1))
}
