import { seedBasin } from '#server/db/seeds/basin'
import { withDatabase } from './open'

await withDatabase(seedBasin)
