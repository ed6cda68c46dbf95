import { spawn, spawnSync } from 'node:child_process'
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { chance } from '../../tests/reference/dice'
import { testDatabase } from '../testDatabase'
import { type Mutation, mutationsOf } from './mutate'

/**
 * `npm run mutants [-- how many [seed]]`: makes small slips in the code at random, one at a time, and counts those
 * that no unit or service test notices, by room. Works in copies of the project; the tests' own database serves the
 * services.
 */
const wanted = Number(process.argv[2] ?? 150)
const seed = Number(process.argv[3] ?? 1)
const only = process.argv[4]
const ROOT = resolve(process.argv[5] ?? '.')
const HANDS = 2
const PROJECTS = ['unit', 'unit-keeping', 'service'].filter(p =>
  readFileSync(join(ROOT, 'vitest.config.ts'), 'utf8').includes(`'${p}'`),
)
/** A slip that makes a loop endless counts as noticed after this long, ms: far more than the tests take. */
const PATIENCE_MS = 300_000

const listed = spawnSync('git', ['ls-files', 'core', 'shared', 'app', 'server'], { cwd: ROOT, encoding: 'utf8' }).stdout
const files = listed
  .split('\n')
  .filter(
    f =>
      f.endsWith('.ts') &&
      !/\.test\.ts$|(^|\/)data\/|\.d\.ts$|db\/(seeds|migrations)|app\/figures|\.worker\.ts$/.test(f),
  )
  .filter(f => !only || f.startsWith(only))
  .sort()
interface Slip extends Mutation {
  file: string
  line: number
}
const all: Slip[] = files.flatMap(file => {
  const source = readFileSync(join(ROOT, file), 'utf8')
  return mutationsOf(file, source).map(m => ({ ...m, file, line: source.slice(0, m.from).split('\n').length }))
})
const random = chance(seed)
const slips = Array.from(
  { length: Math.min(wanted, all.length) },
  () => all.splice(Math.floor(random() * all.length), 1)[0]!,
)
console.log(`${slips.length} of ${all.length + slips.length} possible slips, seed ${seed}`)

const room = (file: string) => {
  const [first, second] = file.split('/')
  return first === 'shared' || !second || second.endsWith('.ts') ? first! : `${first}/${second}`
}

function workshop(): string {
  const dir = mkdtempSync(join(tmpdir(), 'piscator-mutants-'))
  for (const part of [
    'core',
    'shared',
    'app',
    'server',
    'tests',
    'tools',
    'docs',
    'package.json',
    'vitest.config.ts',
    'tsconfig.json',
  ]) {
    cpSync(join(ROOT, part), join(dir, part), { recursive: true })
  }
  for (const link of ['node_modules', '.nuxt']) symlinkSync(join(ROOT, link), join(dir, link))
  return dir
}

function tests(dir: string, file: string): Promise<boolean> {
  return new Promise(done => {
    const projects = PROJECTS.map(p => `--project=${p}`)
    const settings = ['--root', '.', '--config', 'tools/mutants/vitest.config.ts', '--bail=1', '--reporter=dot']
    const args = ['related', file, '--run', ...settings, ...projects]
    const child = spawn('node_modules/.bin/vitest', args, {
      detached: true,
      cwd: dir,
      stdio: 'ignore',
      env: { ...process.env, CI: 'true', PISCATOR_SLIP: file },
    })
    // The whole group: a runner's own workers would go round for ever.
    const timer = setTimeout(() => {
      endless++
      process.kill(-child.pid!, 'SIGKILL')
    }, PATIENCE_MS)
    child.on('exit', code => {
      clearTimeout(timer)
      done(code === 0)
    })
  })
}

/** Tests that fail by themselves would notice every slip: without one, all must pass. */
async function mustPass(): Promise<void> {
  const dir = workshop()
  try {
    if (await tests(dir, 'core/units.ts')) return
    console.error('The tests of this copy fail without any slip; mend them first.')
    process.exitCode = 1
    throw new Error('tests fail by themselves')
  } finally {
    rmSync(dir, { recursive: true, force: true })
  }
}

Object.assign(process.env, testDatabase('start', ROOT))
await mustPass()
const survivors: Slip[] = []
let endless = 0
const tally = new Map<string, { made: number; survived: number }>()
let next = 0
let done = 0
async function hand(): Promise<void> {
  const dir = workshop()
  try {
    while (next < slips.length) {
      const slip = slips[next++]!
      const path = join(dir, slip.file)
      const source = readFileSync(path, 'utf8')
      writeFileSync(path, source.slice(0, slip.from) + slip.text + source.slice(slip.to))
      const survived = await tests(dir, slip.file)
      writeFileSync(path, source)
      const t = tally.get(room(slip.file)) ?? { made: 0, survived: 0 }
      tally.set(room(slip.file), { made: t.made + 1, survived: t.survived + (survived ? 1 : 0) })
      if (survived) survivors.push(slip)
      if (++done % 10 === 0) console.log(`… ${done} of ${slips.length}, ${survivors.length} survived`)
      if (survived) console.log(`survived  ${slip.file}:${slip.line}  ${slip.what}`)
    }
  } finally {
    rmSync(dir, { recursive: true, force: true })
  }
}
await Promise.all(Array.from({ length: HANDS }, hand))
testDatabase('stop', ROOT)

console.log('\nroom                     made  survived')
for (const [name, t] of [...tally].sort())
  console.log(`${name.padEnd(24)} ${String(t.made).padStart(4)}  ${String(t.survived).padStart(8)}`)
const share = (100 * survivors.length) / slips.length
console.log(`\n${survivors.length} of ${slips.length} survived (${share.toFixed(1)} %); ${endless} ran without end`)
