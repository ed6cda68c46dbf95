/**
 * Everything CI checks, all of it even where something fails: types, lint, unit, API and browser tests. Ends with a
 * plain line of counts. A check that is not a test runner counts as one. All that does not wait for another goes beside
 * it; the browser's tests, which wait for a page, come last and first in line.
 */
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'

/** What a check found of a file lasts until the file, the rules or the packages are others. */
const KEPT = 'node_modules/.cache'
const kept = name => ['--cache', '--cache-strategy', 'content', '--cache-location', `${KEPT}/${name}`]
const bin = name => `node_modules/.bin/${name}`
const only = process.argv.slice(2)
const wanted = (...names) => !only.length || names.some(name => only.includes(name))
let passed = 0
let failed = 0
/** What failed, by name and first line: said once more at the end, where a long run is read from. */
const faults = []
function fault(what, why = '') {
  faults.push(`${what}${why && `: ${why.split('\n', 1)[0]}`}`)
}
/** A step or a check that failed as a whole. */
function broke(what) {
  failed++
  fault(what)
}

/** A step that others wait for, its words as they come. */
const run = (title, command, args, env = {}) =>
  new Promise(done => {
    console.log(`\n== ${title}`)
    const child = spawn(command, args, { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } })
    child.on('error', error => done(console.error(error.message) ?? 1))
    child.on('close', status => done(status ?? 1))
  })
/** A step's exit status and what it wrote. */
const quietly = ([command, ...args], env = {}) =>
  new Promise(done => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env } })
    let said = ''
    for (const out of [child.stdout, child.stderr]) out.on('data', text => (said += text))
    child.on('error', error => done({ status: 1, said: error.message }))
    child.on('close', status => done({ status, said }))
  })
/** The same for what nobody waits for yet: it takes what the others leave. */
const beside = (step, env, least = 10) => quietly(['nice', '-n', String(least), ...step], env)
/** What is checked without a test runner, and counts as one: its steps in turn. */
async function check(name, steps, least) {
  if (!wanted(name)) return
  const all = []
  for (const step of steps) all.push(await beside(step, {}, least))
  console.log(`\n== ${name}\n${all.map(({ said }) => said).join('')}`)
  if (all.every(({ status }) => status === 0)) passed++
  else broke(name)
}
/** Counts from a runner's JSON report; a runner that wrote none failed as a whole. */
function count(name, status, file, read) {
  const got = existsSync(file) ? read(JSON.parse(readFileSync(file, 'utf8'))) : { passed: 0, failed: [] }
  passed += got.passed
  failed += got.failed.length
  for (const { title, why } of got.failed) fault(`${name}: ${title}`, why)
  if ((status !== 0 && !got.failed.length) || (status === 0 && !got.passed)) broke(name)
}
const ofVitest = r => ({
  passed: r.numPassedTests,
  failed: r.testResults
    .flatMap(({ assertionResults }) => assertionResults)
    .filter(({ status }) => status === 'failed')
    .map(({ fullName, failureMessages }) => ({ title: fullName, why: failureMessages[0] })),
})
/** Playwright's suites lie in one another; a spec's last result says why. */
const specsOf = ({ specs = [], suites = [] }) => [...specs, ...suites.flatMap(specsOf)]
const ofPlaywright = r => ({
  passed: r.stats.expected + r.stats.flaky,
  failed: r.suites
    .flatMap(specsOf)
    .flatMap(spec => spec.tests.map(test => ({ spec, test })))
    .filter(({ test }) => test.status === 'unexpected')
    .map(({ spec, test }) => ({ title: `${spec.file}: ${spec.title}`, why: test.results.at(-1)?.error?.message })),
})
async function vitest(name, env, { projects = [name], by = quietly } = {}) {
  if (!wanted(name)) return
  const file = `test-results/${name}.json`
  rmSync(file, { force: true })
  const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${file}`]
  const chosen = projects.flatMap(project => ['--project', project])
  const { status, said } = await by([bin('vitest'), 'run', ...chosen, ...reporters], env)
  console.log(`\n== ${name}\n${said}`)
  count(name, status, file, ofVitest)
}
const freePort = () =>
  new Promise(resolve => {
    const s = createServer().listen(0, '127.0.0.1', () => {
      const { port } = s.address()
      s.close(() => resolve(port))
    })
  })

mkdirSync('test-results', { recursive: true })
// The unit tests do not need what is built.
const unit = vitest('unit', {}, { projects: ['unit', 'unit-keeping'], by: beside })
const needsServer = wanted('service', 'api', 'browser')
if (needsServer && (await run('build', 'bash', ['./run', 'build']))) broke('build')

// Whatever has no components goes to the native compiler, five times as fast; only the app's own needs the other.
const projects = ['core', 'tools', ...['server', 'shared', 'node'].map(name => `.nuxt/tsconfig.${name}.json`)]
const withoutComponents = projects.map(project => ['node_modules/typescript-native/bin/tsc', '--noEmit', '-p', project])
const known = ['--incremental', '--tsBuildInfoFile', `${KEPT}/app.tsbuildinfo`]
const readTypes = () =>
  Promise.all([
    check('types', [[bin('vue-tsc'), '--noEmit', ...known, '-p', '.nuxt/tsconfig.app.json']]),
    check('types', withoutComponents),
  ])
const readLines = () =>
  Promise.all([
    check('lint', [[bin('prettier'), '--check', '--log-level=warn', ...kept('prettier/all'), '.']], 19),
    check('lint', [[bin('eslint'), ...kept('eslint/'), '.']], 19),
  ])
// What is found without an import is written down by the build, or here: afresh, or names added since would be missing.
if (!needsServer && wanted('types', 'lint') && (await run('prepare', bin('nuxt'), ['prepare']))) broke('prepare')
const besides = Promise.all([unit, readTypes()])
let lines = wanted('browser') ? null : readLines()

if (needsServer) {
  const started = spawnSync('bash', ['./run', 'pg-test'], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'inherit'] })
  const urls = Object.fromEntries([...started.stdout.matchAll(/^(NUXT_\w+)=(\S+)$/gm)].map(m => [m[1], m[2]]))
  if (started.status !== 0 || !urls.NUXT_DATABASE_URL) {
    console.error("The tests' database did not start.")
    broke('test database')
  } else {
    const env = { ...urls, NUXT_SESSION_PASSWORD: 'only-for-tests-only-for-tests-only-for-tests' }
    try {
      if (
        (await run('test database', bin('tsx'), ['tools/db/migrate.ts'], env)) ||
        (await run('test data', bin('tsx'), ['tools/db/demoData.ts'], env))
      )
        broke('test database')
      await vitest('service', env)
      await vitest('api', env)
      await besides
      if (wanted('browser')) {
        // Nothing waits for how lines are written: that is read in what the browser's tests leave.
        lines = readLines()
        const port = await freePort()
        // By the door that it is started by elsewhere.
        const server = spawn('node', ['tools/serve.mjs'], {
          // All its browsers come from one address, which other tests have guessed from a moment ago.
          env: {
            ...process.env,
            ...env,
            PISCATOR_GUESSES: '1000',
            NITRO_HOST: '127.0.0.1',
            NITRO_PORT: String(port),
          },
          stdio: ['ignore', 'ignore', 'inherit'],
        })
        try {
          for (let i = 0; i < 100; i++) {
            if (
              await fetch(`http://127.0.0.1:${port}/api/v1/health`).then(
                r => r.ok,
                () => false,
              )
            )
              break
            await new Promise(r => setTimeout(r, 100))
          }
          rmSync('test-results/browser.json', { force: true })
          const status = await run('browser', bin('playwright'), ['test'], {
            ...env,
            PISCATOR_URL: `http://127.0.0.1:${port}`,
          })
          count('browser', status, 'test-results/browser.json', ofPlaywright)
        } finally {
          server.kill()
        }
      }
    } finally {
      spawnSync('bash', ['./run', 'pg-test', 'stop'], { stdio: 'inherit' })
    }
  }
}

await Promise.all([besides, lines ?? readLines()])
// It writes .nuxt anew, which the others read.
if (wanted('dev')) await check('dev', [[bin('tsx'), 'tools/devBoot.ts']], 0)
for (const each of faults) console.log(`failed: ${each}`)
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
