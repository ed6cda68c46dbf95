/**
 * Starts the built server by hand or under a supervisor: on loopback unless NITRO_HOST says otherwise, with a session
 * secret long enough and a database brought up to date, or not at all. `./run demo` starts it the same way.
 */
import { existsSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import pg from 'pg'

const fail = words => {
  console.error(words)
  process.exit(1)
}
const server = fileURLToPath(new URL('../.output/server/index.mjs', import.meta.url))
const { NUXT_SESSION_PASSWORD: secret = '', NUXT_DATABASE_URL: url } = process.env

if (!existsSync(server)) fail('Piscator is not built yet:  npm run build')
if (secret.length < 32) fail('NUXT_SESSION_PASSWORD must be a secret of 32 characters or more.')
if (!url) fail('NUXT_DATABASE_URL must name the database, like postgres://piscator_app:…@127.0.0.1:5432/piscator')

const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 5000 })
try {
  await client.connect()
  const { rows } = await client.query('select name from "SequelizeMeta" order by name')
  const wanted = JSON.parse(readFileSync(new URL('../server/db/migrations/names.json', import.meta.url), 'utf8')).at(-1)
  // Further is well too: a newer version runs beside this one for a while.
  if (!rows.some(({ name }) => name === wanted))
    fail(`The database is not up to date (it lacks ${wanted}): npm run migrate`)
} catch (error) {
  if (error.code === '42P01') fail('The database is empty. Bring it up to date first:  npm run migrate')
  fail(`The database cannot be reached (${error.code ?? error.name}). Start it, or mend NUXT_DATABASE_URL.`)
} finally {
  await client.end().catch(() => {})
}

process.env.NITRO_HOST ??= '127.0.0.1'
await import(server)
