import { basename } from 'node:path'
import type { NuxtHooks } from 'nuxt/schema'
import type { Plugin } from 'vite'

/** What a build made: its files by name, and which asks for which. */
type Manifest = Parameters<NuxtHooks['build:manifest']>[0]

/** The letters the app is written in; others are asked for when one turns up. */
const LETTERS = /-latin-(wdth|wght)-normal\./
/** The engine and the light it sees by, as files; and where an answer is the first that is wanted. */
const ENGINE = /^(engine\.worker-.*\.js|light\..*\.table)$/
const WORKED_AT_ONCE = ['/', '/day', '/bench']

/** Files of scripts that hold the places and what frames them, by address or name: which is found as they are made. */
export interface Homes {
  places: Map<string, string>
  frames: Set<string>
}

/** Finds out, while the browser's part is built, which file each place has come to lie in. */
export function findHomes(homes: Homes): Plugin {
  return {
    name: 'piscator-homes',
    generateBundle(_, bundle) {
      for (const chunk of Object.values(bundle)) {
        if (chunk.type !== 'chunk') continue
        const file = basename(chunk.fileName)
        for (const id of chunk.moduleIds) {
          const place = /\/app\/pages\/(\w+)\.vue$/.exec(id)?.[1]
          if (place) homes.places.set(place === 'index' ? '/' : `/${place}`, file)
          if (/\/app\/layouts\/\w+\.vue$/.test(id)) homes.frames.add(file)
        }
      }
    },
  }
}

/** A file of scripts and all it cannot begin without. */
function needed(manifest: Manifest, file: string, known = new Set<string>()): Set<string> {
  if (known.has(file)) return known
  known.add(file)
  const one = Object.values(manifest).find(m => m.file === file)
  for (const other of one?.imports ?? []) needed(manifest, manifest[other]!.file, known)
  return known
}

/** What a place asks for besides what every page begins with, by name. */
export interface AskedAhead {
  scripts: string[]
  styles: string[]
  /** Seen, or worked with, once the scripts have begun. */
  later: { as: 'font' | 'fetch'; file: string }[]
}

/**
 * What a page asks for before its script has run: the scripts every place begins with. The rest comes when it is asked
 * for; the service worker keeps all of it anyway.
 */
export function askAhead(manifest: Manifest, { places }: Homes): void {
  const all = Object.entries(manifest)
  for (const [, file] of all) file.prefetch = false
  const each = [...places.values()].map(file => needed(manifest, file))
  for (const [, entry] of all) {
    if (!entry.isEntry) continue
    const first = needed(manifest, entry.file)
    const shared = all.filter(([, { file }]) => !first.has(file) && each.length && each.every(p => p.has(file)))
    for (const [, file] of shared) file.preload = true
    entry.assets = [...(entry.assets ?? []), ...shared.map(([key]) => key)]
  }
}

/**
 * What each place asks for besides, by its address: its own scripts, which would else be found one after the other; its
 * letters; and where it is worked at once, the engine.
 * @param files all that the build has made, by name
 */
export function placesAhead(
  manifest: Manifest,
  { places, frames }: Homes,
  files: readonly string[],
): Record<string, AskedAhead> {
  const all = Object.values(manifest)
  const entries = all.filter(f => f.isEntry)
  const known = new Set(
    entries.flatMap(f => [...needed(manifest, f.file), ...(f.assets ?? []).map(key => manifest[key]?.file ?? key)]),
  )
  const later = (kind: RegExp, as: 'font' | 'fetch') => files.filter(f => kind.test(f)).map(file => ({ as, file }))
  return Object.fromEntries(
    [...places].map(([address, home]) => {
      const scripts = new Set([home, ...frames].flatMap(file => [...needed(manifest, file)]))
      const styles = new Set(all.flatMap(f => (scripts.has(f.file) && !f.isEntry ? (f.css ?? []) : [])))
      const asked: AskedAhead = {
        scripts: [...scripts].filter(file => !known.has(file)),
        styles: [...styles],
        later: [...later(LETTERS, 'font'), ...(WORKED_AT_ONCE.includes(address) ? later(ENGINE, 'fetch') : [])],
      }
      return [address, asked]
    }),
  )
}
