import { readFileSync, readdirSync } from 'node:fs'
import { join, relative, resolve } from 'node:path'
import { describe, expect, it } from 'vitest'

const ROOT = resolve(import.meta.dirname, '../..')
/** Rooms of the core in their order: each may use those before it and itself. `data` and `numeric` are open to all. */
const ROOMS = ['data', 'numeric', 'spectrum', 'sky', 'water', 'field', 'finish', 'eye', 'sight', 'season', 'conditions', 'schools', 'customs', 'ranking']

function filesIn(dir: string): string[] {
  return readdirSync(join(ROOT, dir), { withFileTypes: true }).flatMap((e) => {
    const path = `${dir}/${e.name}`
    return e.isDirectory() ? filesIn(path) : /\.(ts|vue)$/.test(e.name) && !e.name.endsWith('.test.ts') ? [path] : []
  })
}
/** Imports of a file, as paths from the root or bare package names. */
function importsOf(file: string): string[] {
  const text = readFileSync(join(ROOT, file), 'utf8')
  return [...text.matchAll(/(?:from|import\()\s*'([^']+)'/g)].map(([, spec]) =>
    spec!.startsWith('.') ? relative(ROOT, resolve(ROOT, file, '..', spec!)) : spec!.replace(/^#(core|shared)\//, '$1/'))
}
const inside = (path: string, dir: string) => path.startsWith(`${dir}/`)

describe('the arrows of the house', () => {
  it('core knows only itself and the sun', () => {
    for (const file of filesIn('core')) for (const i of importsOf(file)) expect(inside(i, 'core') || i === 'suncalc', `${file} imports ${i}`).toBe(true)
  })
  it('rooms of the core use only earlier rooms', () => {
    for (const file of filesIn('core')) {
      const own = ROOMS.indexOf(file.split('/')[1]!)
      expect(own, `${file} stands in no known room`).toBeGreaterThanOrEqual(0)
      for (const i of importsOf(file).filter(i => inside(i, 'core'))) expect(ROOMS.indexOf(i.split('/')[1]!), `${file} imports ${i}`).toBeLessThanOrEqual(own)
    }
  })
  it('core asks no clock, no chance and no world outside', () => {
    for (const file of filesIn('core')) expect(readFileSync(join(ROOT, file), 'utf8').replace(/\/\*[\s\S]*?\*\/|\/\/.*/g, ''), file).not.toMatch(/Date\.now|new Date\(\)|Math\.random|\bprocess\.|\bfetch\(|\bwindow\.|\bdocument\./)
  })
  it('shared knows core and itself', () => {
    for (const file of filesIn('shared')) for (const i of importsOf(file)) expect(inside(i, 'core') || inside(i, 'shared') || i === 'joi', `${file} imports ${i}`).toBe(true)
  })
  it('app and server meet only through shared and HTTP', () => {
    for (const file of filesIn('app')) for (const i of importsOf(file)) expect(inside(i, 'server'), `${file} imports ${i}`).toBe(false)
    for (const file of filesIn('server')) for (const i of importsOf(file)) expect(inside(i, 'app'), `${file} imports ${i}`).toBe(false)
  })
  it('only services and the database\'s own room know the engine and the models together', () => {
    for (const file of filesIn('server/api')) for (const i of importsOf(file)) expect(inside(i, 'core') || inside(i, 'server/db'), `${file} imports ${i}`).toBe(false)
  })
})
