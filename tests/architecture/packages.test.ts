import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

interface Locked {
  version?: string
  license?: string
  dev?: boolean
  hasInstallScript?: boolean
}
const { packages } = JSON.parse(readFileSync('package-lock.json', 'utf8')) as { packages: Record<string, Locked> }
const locked = Object.entries(packages).filter(([path]) => path !== '')
const nameOf = (path: string) => path.split('node_modules/').at(-1)!

/** Licences that ask no more than to be named, of what ships; OFL for the fonts, CC for data. */
const SHIPPED = ['MIT', 'ISC', 'BSD-2-Clause', 'BSD-3-Clause', 'Apache-2.0', '0BSD', 'OFL-1.1', 'CC0-1.0', 'CC-BY-4.0']
const alsoAllowed = [
  'BlueOak-1.0.0',
  'Python-2.0',
  'Unlicense',
  'MIT-0',
  'MPL-2.0',
  'CC-BY-3.0',
  'WTFPL',
  'LGPL-3.0-or-later',
]
/** Packages that say it in a file of their own, read: suncalc is under BSD-2-Clause. */
const SAID_ELSEWHERE = ['suncalc']
const parts = (license: string) => license.replace(/[()]/g, '').split(/ (?:OR|AND) /)

describe('the packages', () => {
  it('run nothing as they are installed, but for the bundler', () => {
    const scripts = locked.filter(([, p]) => p.hasInstallScript).map(([path]) => nameOf(path))
    expect([...new Set(scripts)].sort()).toEqual(['esbuild'])
  })
  it('are under licences that are known and may be shipped', () => {
    const strange = locked
      .filter(([, { license }]) => !parts(license ?? 'none').some(l => [...SHIPPED, ...alsoAllowed].includes(l)))
      .map(([path, { license }]) => `${nameOf(path)}: ${license ?? 'none'}`)
      .filter(said => !SAID_ELSEWHERE.includes(said.split(':')[0]!))
    expect(strange).toEqual([])
  })
  it('come from no address that is written down', () => {
    expect(locked.filter(([, p]) => 'resolved' in p).map(([path]) => path)).toEqual([])
  })
})
