import { readFileSync, readdirSync } from 'node:fs'
import { dirname, join, relative, resolve } from 'node:path'
import { describe, expect, it } from 'vitest'

/** Libraries the core may use: sun and moon positions, colour spaces. */
const KEPT = ['lru-cache', 'suncalc', 'culori/fn']
const ROOT = resolve(import.meta.dirname, '../..')

/** Rooms of the core in their order: each may use those before it and itself. */
const ROOMS = [
  'data',
  'numeric',
  'units',
  'spectrum',
  'sky',
  'water',
  'light-field',
  'reading',
  'eye',
  'paintwork',
  'season',
  'prey',
  'lure',
  'sight',
  'cover',
  'senses',
  'picture',
  'words',
  'request',
  'evidence',
  'schools',
  'rules',
  'ranking',
  'which-lure',
  'season-learning',
  'day',
  'kit',
  'box',
  'trial',
  'bench',
  'index',
]
/** Entries of the core that the server uses beside its front door, where work is done in chunks or a word is wanted. */
const SERVER_ENTRIES = [
  'day/answer',
  'day/clock',
  'day/scores',
  'evidence/possible',
  'kit/kit',
  'kit/scenes',
  'lure/finish',
  'picture/underWater',
  'ranking/recommend',
  'ranking/version',
  'season-learning/pool',
  'season-learning/prepared',
  'season-learning/season',
  'season-learning/stands',
  'sight/view',
  'sky/sun',
  'sky/weather',
  'spectrum/colour',
  'units',
]

function filesIn(dir: string): string[] {
  return readdirSync(join(ROOT, dir), { withFileTypes: true }).flatMap(e => {
    const path = `${dir}/${e.name}`
    if (e.isDirectory()) return filesIn(path)
    return /\.(ts|vue)$/.test(e.name) && !e.name.endsWith('.test.ts') ? [path] : []
  })
}

/** Imports of a file, as paths from the root or bare package names. */
function importsOf(file: string): string[] {
  const text = readFileSync(join(ROOT, file), 'utf8')
  const imports = /^(?:import|export|\}) [^\n]*?from '([^']+)'|^import '([^']+)'|import\('([^']+)'\)/gm
  return [...text.matchAll(imports)].map(([, ...specs]) => {
    const spec = specs.find(Boolean)
    if (spec!.startsWith('.')) return relative(ROOT, resolve(ROOT, file, '..', spec!))
    return spec!.replace(/^#(core|shared|server)\//, '$1/').replace(/^~\//, 'app/')
  })
}
const inside = (path: string, dir: string) => path.startsWith(`${dir}/`)
const roomOf = (path: string) => path.split('/')[1]!.replace(/\.ts$/, '')

describe('the arrows of the house', () => {
  it('core knows only itself and small libraries without a world: for the sun, colour, and what was used last', () => {
    for (const file of filesIn('core')) {
      for (const i of importsOf(file)) expect(inside(i, 'core') || KEPT.includes(i), `${file}: ${i}`).toBe(true)
    }
  })
  it('rooms of the core use only earlier rooms', () => {
    for (const file of filesIn('core')) {
      const own = ROOMS.indexOf(roomOf(file))
      expect(own, `${file} stands in no known room`).toBeGreaterThanOrEqual(0)
      for (const i of importsOf(file).filter(i => inside(i, 'core'))) {
        expect(ROOMS.indexOf(roomOf(i)), `${file} imports ${i}`).toBeLessThanOrEqual(own)
      }
    }
  })
  it('core asks no clock, no chance and no world outside', () => {
    const outside = /Date\.now|new Date\(\)|Math\.random|\bprocess\.|\bfetch\(|(?<!')\bwindow\.|\bdocument\./
    for (const file of filesIn('core')) {
      const code = readFileSync(join(ROOT, file), 'utf8').replace(/\/\*[\s\S]*?\*\/|\/\/.*/g, '')
      expect(code, file).not.toMatch(outside)
    }
  })
  it('the server comes into the core by its front door, or by the entries that are named', () => {
    const taken = new Set<string>()
    for (const file of filesIn('server')) {
      const text = readFileSync(join(ROOT, file), 'utf8')
      for (const [, what, from] of text.matchAll(/^import (?!type)(.+) from '#core\/([^']+)'/gm))
        if (!/^\{(?: type \w+,?)+ \}$/.test(what!)) taken.add(from!)
    }
    expect([...taken].filter(t => t !== 'index').sort()).toEqual(SERVER_ENTRIES)
  })
  it('shared knows core and itself', () => {
    const ours = (i: string) => inside(i, 'core') || inside(i, 'shared') || ['joi', 'joi-to-json'].includes(i)
    for (const file of filesIn('shared')) for (const i of importsOf(file)) expect(ours(i), `${file}: ${i}`).toBe(true)
  })
  it('app and server meet only through shared and HTTP', () => {
    for (const file of filesIn('app')) {
      for (const i of importsOf(file)) expect(inside(i, 'server'), `${file} imports ${i}`).toBe(false)
    }
    for (const file of filesIn('server')) {
      for (const i of importsOf(file)) expect(inside(i, 'app'), `${file} imports ${i}`).toBe(false)
    }
  })
  it("only services and the database's own room know the engine and the models together", () => {
    for (const file of filesIn('server/api')) {
      for (const i of importsOf(file)) {
        expect(inside(i, 'core') || inside(i, 'server/db'), `${file} imports ${i}`).toBe(false)
      }
    }
  })
  it('no name is exported twice: one word means one thing', () => {
    const by = new Map<string, Set<string>>()
    for (const file of ['core', 'shared', 'app', 'server'].flatMap(filesIn).filter(f => f.endsWith('.ts'))) {
      const text = readFileSync(join(ROOT, file), 'utf8')
      const single = /^export (?:async )?(?:function\*?|const|class|interface|type|enum) (\w+)/gm
      const several = /^export const \[([^\]]+)\]/gm
      const names = [
        ...[...text.matchAll(single)].map(m => m[1]!),
        ...[...text.matchAll(several)].flatMap(m => m[1]!.match(/\w+/g) ?? []),
      ]
      for (const name of names) by.set(name, (by.get(name) ?? new Set()).add(file))
    }
    const twice = [...by]
      .filter(([, files]) => files.size > 1)
      .map(([name, files]) => `${name}: ${[...files].join(', ')}`)
    expect(twice).toEqual([])
  })
  it('no folder imports another that leads back to it', () => {
    const files = ['core', 'shared', 'app', 'server'].flatMap(filesIn)
    const known = new Set(files)
    const arrows = new Map<string, Set<string>>()
    for (const file of files) {
      for (const i of importsOf(file)) {
        const target = [i, `${i}.ts`].find(f => known.has(f))
        if (!target || dirname(target) === dirname(file)) continue
        // A folder within a room is part of it: the catalogue belongs to the lures.
        const [from, to] = [dirname(file), dirname(target)]
        if (inside(from, to) || inside(to, from)) continue
        arrows.set(from, (arrows.get(from) ?? new Set()).add(to))
      }
    }
    const circles: string[] = []
    /** Folders from which no way leads back: each is walked once. */
    const clear = new Set<string>()
    const walk = (folder: string, path: string[]): void => {
      if (path.includes(folder)) {
        circles.push([...path.slice(path.indexOf(folder)), folder].join(' > '))
        return
      }
      if (clear.has(folder)) return
      for (const to of arrows.get(folder) ?? []) if (circles.length < 5) walk(to, [...path, folder])
      clear.add(folder)
    }
    for (const folder of arrows.keys()) if (circles.length < 5) walk(folder, [])
    expect(circles).toEqual([])
  })
})
