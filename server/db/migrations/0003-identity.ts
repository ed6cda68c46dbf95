import type { MigrationContext } from './context'

/** Sessions can be ended, a device's records can be moved by a code, and what a device keeps has a bound. */
export const identity = {
  name: '0003-identity',
  async up({ context }: { context: MigrationContext }) {
    await context.query(`
      alter table anglers
        add column session_version integer not null default 0 check (session_version >= 0),
        add column recovery_hash text unique check (length(recovery_hash) = 64);
      alter table calls add column bytes integer not null default 0 check (bytes >= 0);
      update calls set bytes = pg_column_size(answer) + pg_column_size(asked);
    `)
  },
  async down({ context }: { context: MigrationContext }) {
    await context.query(`
      alter table anglers drop column session_version, drop column recovery_hash;
      alter table calls drop column bytes;
    `)
  },
}
