import type { MigrationContext } from './context'

/** A call says how far the ranking it was taken from leaned on its angler's log; calls from before do not. */
export const leaned = {
  name: '0007-leaned',
  async up({ context }: { context: MigrationContext }) {
    await context.query('alter table calls add column leaned double precision check (leaned between 0 and 1)')
  },
  async down({ context }: { context: MigrationContext }) {
    await context.query('alter table calls drop column leaned')
  },
}
