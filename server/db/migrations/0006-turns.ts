import type { MigrationContext } from './context'

/**
 * What an angler has kept is added up in the row whose turn every addition takes, and the moving of one angler's
 * records to another is noted, so that it goes on wherever it was broken off.
 */
export const anglerTurns = {
  name: '0006-turns',
  async up({ context }: { context: MigrationContext }) {
    await context.query(`
      alter table anglers
        add column events_kept bigint not null default 0 check (events_kept >= 0),
        add column event_bytes bigint not null default 0 check (event_bytes >= 0);
      update anglers set events_kept = kept.events, event_bytes = kept.bytes
        from (select angler_id, count(*) as events, sum(bytes) as bytes from events group by angler_id) kept
        where kept.angler_id = anglers.id;
      create table moves (
        from_angler uuid primary key references anglers (id) on delete cascade,
        to_angler uuid not null references anglers (id) on delete cascade,
        done_at timestamptz,
        check (from_angler <> to_angler)
      );
      create index moves_to on moves (to_angler) where done_at is null;
    `)
  },
  async down({ context }: { context: MigrationContext }) {
    await context.query(`
      drop table moves;
      alter table anglers drop column events_kept, drop column event_bytes;
    `)
  },
}
