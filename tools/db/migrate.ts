import { withDatabase } from './open'
import { upToDate } from './upToDate'

await withDatabase(upToDate)
