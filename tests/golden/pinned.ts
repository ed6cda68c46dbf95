import { readFileSync } from 'node:fs'
import { recommend } from '#core/ranking/recommend'
import { ENGINE_VERSION } from '#core/ranking/version'
import { boxOf } from './box'
import { edgesOf } from './edges'
import { foodOf } from './food'
import { catalogueOf, coloursOf } from './paintwork'
import { GOLDEN } from './requests'
import { limitsOf } from './limits'
import { picksOf } from './picks'
import { readingOf } from './reading'
import { daysOf, drillsOf, kitsOf, readingsOf, trialsOf } from './rooms'
import { rulesOf } from './rules'
import { seasonsOf } from './season'
import { SCREENS } from './screens'
import { SCENES } from './scenes'
import { advisedOf, sweepsOf } from './sweeps'
import { whichLureOf } from './whichLure'

const plain = (v: unknown): unknown => JSON.parse(JSON.stringify(v))
export const folder = new URL('./pinned/', import.meta.url)

/** Everything that is pinned, by the name of its file: whole answers, and the rules of each scene. */
export const PINNED: Readonly<Record<string, () => unknown>> = {
  'engine': () => ({ version: ENGINE_VERSION }),
  ...Object.fromEntries(Object.entries(GOLDEN).map(([name, request]) => [name, () => plain(recommend(request))])),
  ...SCREENS,
  'picks': () => Object.fromEntries(Object.keys(SCENES).map(name => [name, picksOf(name)])),
  'sweeps': sweepsOf,
  'advised': advisedOf,
  'edges': edgesOf,
  'readings': readingsOf,
  'trials': trialsOf,
  'drills': drillsOf,
  'kits': kitsOf,
  'days': daysOf,
  'box': boxOf,
  'food': foodOf,
  'colours': coloursOf,
  'catalogue': catalogueOf,
  'limits': limitsOf,
  'reading': readingOf,
  'seasons': seasonsOf,
  'which-lure': whichLureOf,
  'rules': () => Object.fromEntries(Object.keys(SCENES).map(name => [name, rulesOf(name)])),
}

export const pinnedText = (name: string) => readFileSync(new URL(`${name}.json`, folder), 'utf8')
