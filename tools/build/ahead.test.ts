import { describe, expect, it } from 'vitest'
import { type Homes, askAhead, placesAhead } from './ahead'

/** A build of two places: the first is worked at once, and lies in a file that was merged and has no name. */
const build = () => ({
  'entry': { file: 'entry.js', isEntry: true, imports: ['_vue'], prefetch: true, assets: [] as string[] },
  '_vue': { file: 'vue.js', imports: [], preload: true },
  '_common': { file: 'common.js', imports: ['_vue'], css: ['common.css'] },
  '_merged': { file: 'merged.js', imports: ['_common', '_drawn'], css: ['water.css'] },
  '_drawn': { file: 'drawn.js', imports: [] },
  'pages/box.vue': { file: 'box.js', imports: ['_common'] },
  'layouts/place.vue': { file: 'place.js', imports: ['_common'], css: ['place.css'] },
})
type Manifest = Parameters<typeof askAhead>[0]
const homes: Homes = {
  places: new Map([
    ['/', 'merged.js'],
    ['/box', 'box.js'],
  ]),
  frames: new Set(['place.js']),
}
const FILES = [
  'engine.worker-1a.js',
  'light.2b.table',
  'archivo-latin-wdth-normal.c.woff2',
  'archivo-latin-ext-x.woff2',
]

describe('what a page asks for ahead', () => {
  it('is what every place begins with, on every page', () => {
    const manifest = build()
    askAhead(manifest as unknown as Manifest, homes)
    expect(manifest.entry.assets).toEqual(['_common'])
    expect(manifest.entry.prefetch).toBe(false)
  })
  it('is besides what its own place begins with, in whichever file that lies, each once', () => {
    const manifest = build() as unknown as Manifest
    askAhead(manifest, homes)
    const ahead = placesAhead(manifest, homes, FILES)
    expect(ahead['/']).toEqual({
      scripts: ['merged.js', 'drawn.js', 'place.js'],
      styles: ['common.css', 'water.css', 'place.css'],
      later: [
        { as: 'font', file: 'archivo-latin-wdth-normal.c.woff2' },
        { as: 'fetch', file: 'engine.worker-1a.js' },
        { as: 'fetch', file: 'light.2b.table' },
      ],
    })
    expect(ahead['/box']).toMatchObject({ scripts: ['box.js', 'place.js'], later: [{ as: 'font' }] })
  })
})
