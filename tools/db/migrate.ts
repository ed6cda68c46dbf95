import { migrate } from '#server/db/migrate'
import { withDatabase } from './open'

await withDatabase(async db => {
  await migrate(db)
})
