import type { MigrationContext } from './context'

/** A call may name a water that only the angler's records know, so its water is no longer one of the table's. */
export const ownWaters = {
  name: '0005-own-waters',
  async up({ context }: { context: MigrationContext }) {
    await context.query(`
      alter table calls drop constraint calls_water_id_fkey;
      create index events_by_record on events (angler_id, record_id);
    `)
  },
  async down({ context }: { context: MigrationContext }) {
    await context.query(`
      drop index events_by_record;
      update calls set water_id = null where water_id not in (select id from waters);
      alter table calls add constraint calls_water_id_fkey
        foreign key (water_id) references waters (id) on delete set null;
    `)
  },
}
