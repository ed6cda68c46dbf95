/**
 * Everything CI checks, all of it even where something fails: types, lint, unit, API and browser tests. Ends with a
 * plain line of counts. A check that is not a test runner counts as one. What uses one core, or waits, goes beside its
 * like.
 */
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'

const bin = name => `node_modules/.bin/${name}`
const only = process.argv.slice(2)
let passed = 0
let failed = 0

function run(title, command, args, env = {}) {
  console.log(`\n== ${title}`)
  return spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } }).status ?? 1
}
/** A step's exit status and what it wrote. */
const quietly = ([command, ...args], env = {}) =>
  new Promise(done => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env } })
    let said = ''
    for (const out of [child.stdout, child.stderr]) out.on('data', text => (said += text))
    child.on('error', error => done({ status: 1, said: error.message }))
    child.on('close', status => done({ status, said }))
  })
async function check(name, steps) {
  if (only.length && !only.includes(name)) return
  const all = []
  for (const step of steps) all.push(await quietly(step))
  console.log(`\n== ${name}\n${all.map(({ said }) => said).join('')}`)
  if (all.every(({ status }) => status === 0)) passed++
  else failed++
}
/** Counts from a runner's JSON report; a runner that wrote none failed as a whole. */
function count(status, file, read) {
  const got = existsSync(file) ? read(JSON.parse(readFileSync(file, 'utf8'))) : { passed: 0, failed: 0 }
  passed += got.passed
  failed += got.failed
  if (status !== 0 && got.failed === 0) failed++
  if (status === 0 && got.passed === 0) failed++
}
async function vitest(name, env, projects = [name]) {
  if (only.length && !only.includes(name)) return
  const file = `test-results/${name}.json`
  rmSync(file, { force: true })
  const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${file}`]
  const chosen = projects.flatMap(project => ['--project', project])
  const { status, said } = await quietly([bin('vitest'), 'run', ...chosen, ...reporters], env)
  console.log(`\n== ${name}\n${said}`)
  count(status, file, r => ({ passed: r.numPassedTests, failed: r.numFailedTests }))
}
const freePort = () =>
  new Promise(resolve => {
    const s = createServer().listen(0, '127.0.0.1', () => {
      const { port } = s.address()
      s.close(() => resolve(port))
    })
  })

mkdirSync('test-results', { recursive: true })
// What is found without an import is written down by prepare: afresh, or names added since the last install would be
// missing.
const looksAtSources = !only.length || only.includes('types') || only.includes('lint')
if (looksAtSources && run('prepare', bin('nuxt'), ['prepare'])) failed++
// Whatever has no components goes to the native compiler, five times as fast; only the app's own needs the other.
const projects = ['core', 'tools', ...['server', 'shared', 'node'].map(name => `.nuxt/tsconfig.${name}.json`)]
const withoutComponents = projects.map(project => ['node_modules/typescript-native/bin/tsc', '--noEmit', '-p', project])
const layout = [
  [bin('eslint'), '.'],
  [bin('prettier'), '--check', '--log-level=warn', '.'],
]
await Promise.all([
  check('types', [[bin('vue-tsc'), '--noEmit', '-p', '.nuxt/tsconfig.app.json']]),
  check('types', withoutComponents).then(() => check('lint', layout)),
])
// It starts on its own: the services' tests mostly wait, for a server killed or a database gone.
const unit = vitest('unit', {}, ['unit', 'unit-app'])
const needsServer = !only.length || only.some(o => ['service', 'api', 'browser'].includes(o))
if (needsServer) {
  const started = spawnSync('bash', ['./run', 'pg-test'], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'inherit'] })
  const urls = Object.fromEntries([...started.stdout.matchAll(/^(NUXT_\w+)=(\S+)$/gm)].map(m => [m[1], m[2]]))
  if (started.status !== 0 || !urls.NUXT_DATABASE_URL) {
    console.error("The tests' database did not start.")
    failed++
  } else {
    const env = { ...urls, NUXT_SESSION_PASSWORD: 'only-for-tests-only-for-tests-only-for-tests' }
    try {
      if (
        run('test database', bin('tsx'), ['tools/db/migrate.ts'], env) ||
        run('test data', bin('tsx'), ['tools/db/demoData.ts'], env)
      )
        failed++
      await vitest('service', env)
      await vitest('api', env)
      await unit
      if (!only.length || only.includes('browser')) {
        const port = await freePort()
        const server = spawn('node', ['.output/server/index.mjs'], {
          env: { ...process.env, ...env, NITRO_HOST: '127.0.0.1', NITRO_PORT: String(port) },
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
          const status = run('browser', bin('playwright'), ['test'], {
            ...env,
            PISCATOR_URL: `http://127.0.0.1:${port}`,
          })
          count(status, 'test-results/browser.json', r => ({
            passed: r.stats.expected + r.stats.flaky,
            failed: r.stats.unexpected,
          }))
        } finally {
          server.kill()
        }
      }
    } finally {
      spawnSync('bash', ['./run', 'pg-test', 'stop'], { stdio: 'inherit' })
    }
  }
}

await unit
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
