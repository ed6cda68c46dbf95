import { first } from './0001-first'
import { lists } from './0002-lists'
import { identity } from './0003-identity'
import { events } from './0004-events'
import { ownWaters } from './0005-own-waters'
import { anglerTurns } from './0006-turns'
import { leaned } from './0007-leaned'
import { records } from './0008-records'
import { accounts } from './0009-accounts'
import { jobs } from './0010-jobs'
import { moreJobs } from './0011-more-jobs'
import type { Migration } from './context'
import names from './names.json' with { type: 'json' }

const WRITTEN: readonly Migration[] = [
  first,
  lists,
  identity,
  events,
  ownWaters,
  anglerTurns,
  leaned,
  records,
  accounts,
  jobs,
  moreJobs,
]

/** Every migration in the order of names.json, by which the runner goes, the server and whoever starts it. */
export const MIGRATIONS: readonly Migration[] = names.map(name => {
  const migration = WRITTEN.find(m => m.name === name)
  if (!migration) throw new Error(`no migration is called ${name}`)
  return migration
})

/** The newest state of the schema this code knows. */
export const SCHEMA = MIGRATIONS.at(-1)!.name
