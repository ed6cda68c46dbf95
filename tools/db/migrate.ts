import { migrate } from '#server/db/migrate'
import { seedCatalogue } from '#server/db/seeds/catalogue'
import { withDatabase } from './open'

await withDatabase(async db => {
  await migrate(db)
  await seedCatalogue(db)
})
