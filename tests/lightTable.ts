import { readFileSync } from 'node:fs'
import { useLightTable } from '#core/light-field/table'

/** The light table, given to the core before anything is looked at; for tests and tools that run in Node. */
useLightTable(readFileSync(new URL('../core/data/light.table', import.meta.url)))
