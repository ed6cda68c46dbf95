import type { NuxtHooks } from 'nuxt/schema'

/** What a build made: its files by name, and which asks for which. */
type Manifest = Parameters<NuxtHooks['build:manifest']>[0]

/** The letters the app is written in; others are asked for when one turns up. */
const LETTERS = /-latin-(wdth|wght)-normal\./

/** A file of scripts and all it cannot begin without. */
function needed(manifest: Manifest, key: string, known = new Set<string>()): Set<string> {
  if (known.has(key)) return known
  known.add(key)
  for (const other of manifest[key]?.imports ?? []) needed(manifest, other, known)
  return known
}

/**
 * What a page asks for before its script has run: its letters, or words would move under a finger as they come, and
 * the scripts every place begins with. The rest comes when it is asked for; the service worker keeps all of it anyway.
 */
export function askAhead(manifest: Manifest): void {
  const all = Object.entries(manifest)
  for (const [, file] of all) {
    file.prefetch = false
    if (file.resourceType === 'font' && LETTERS.test(file.file)) file.preload = true
  }
  const places = all.filter(([key]) => /(^|\/)pages\/\w+\.vue$/.test(key)).map(([key]) => needed(manifest, key))
  for (const [key, file] of all) {
    if (!file.isEntry) continue
    const first = needed(manifest, key)
    const shared = [...(places[0] ?? [])].filter(other => !first.has(other) && places.every(p => p.has(other)))
    for (const other of shared) manifest[other]!.preload = true
    file.assets = [...(file.assets ?? []), ...shared]
  }
}
