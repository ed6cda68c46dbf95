import { first } from './0001-first'
import { lists } from './0002-lists'
import { identity } from './0003-identity'
import { events } from './0004-events'
import { ownWaters } from './0005-own-waters'
import { anglerTurns } from './0006-turns'
import { leaned } from './0007-leaned'
import type { Migration } from './context'

/** Every migration in its order: what the runner runs, and what the server holds the database against. */
export const MIGRATIONS: readonly Migration[] = [first, lists, identity, events, ownWaters, anglerTurns, leaned]

/** The newest state of the schema this code knows. */
export const SCHEMA = MIGRATIONS.at(-1)!.name
