import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'

/** `npm run share`: how much of the code is tests, by lines. Tables of data are left out: they are neither. */
const files = execFileSync('git', ['ls-files'], { encoding: 'utf8' })
  .split('\n')
  .filter(f => /\.(ts|vue|mjs|sh)$|^run$/.test(f))
const DATA = /(^|\/)data\/|\/catalogue\/|rules\/customs\/|app\/figures\/(hardBaits|skirted|softs)\.ts/
const TEST = /\.test\.ts$|^tests\/|^tools\/mutants\//

const lines = { tests: 0, code: 0, data: 0 }
for (const f of files) {
  const kind = DATA.test(f) ? 'data' : TEST.test(f) ? 'tests' : 'code'
  lines[kind] += readFileSync(f, 'utf8').split('\n').length
}
const share = (100 * lines.tests) / (lines.tests + lines.code)
console.log(`${lines.tests} lines of tests, ${lines.code} of code, ${lines.data} of data tables (left out)`)
console.log(`tests are ${share.toFixed(1)} % of the code`)
