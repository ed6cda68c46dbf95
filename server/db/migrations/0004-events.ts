import type { MigrationContext } from './context'

/**
 * What an angler's devices tell one another: events that are only ever added. `seq` orders them as they arrived, and a
 * device asks for what came after the last it has; `at` is the device's own clock and decides which of two changes to
 * the same record is the later.
 */
export const events = {
  name: '0004-events',
  async up({ context }: { context: MigrationContext }) {
    await context.query(`
      create table events (
        angler_id uuid not null references anglers (id) on delete cascade,
        id uuid not null,
        seq bigint generated always as identity,
        kind text not null check (length(kind) between 1 and 40),
        record_id uuid not null,
        at timestamptz not null,
        body jsonb,
        bytes integer not null check (bytes >= 0),
        primary key (angler_id, id)
      );
      create index events_in_order on events (angler_id, seq);
    `)
  },
  async down({ context }: { context: MigrationContext }) {
    await context.query('drop table events')
  },
}
