import type { MigrationContext } from './context'

/** What lists read has columns and indexes of its own; the words of the catalogue and the waters are checked. */
export const lists = {
  name: '0002-lists',
  async up({ context }: { context: MigrationContext }) {
    await context.query(`
      alter table calls add column rank integer check (rank >= 1);
      update calls set rank = place.rank
        from (
          select c.id, (r.value ->> 'rank')::integer as rank
          from calls c, jsonb_array_elements(c.answer -> 'ranked') r
          where r.value -> 'finish' ->> 'id' = c.tied_on
        ) place
        where place.id = calls.id;
      create index calls_by_water on calls (water_id);
      create index calls_by_finish on calls (tied_on);
      alter table calls add constraint engine_version_said check (engine_version <> '');
      alter table waters
        add constraint tint_known check (usual_tint in ('blue-clear', 'green', 'tea', 'brown', 'mixed')),
        add constraint kind_said check (length(kind) between 1 and 60),
        add constraint note_bounded check (length(note) <= 2000);
      alter table lure_types add constraint group_known
        check (group_name in ('hard-bait', 'skirted', 'soft-plastic', 'surface', 'spoon', 'crappie', 'inshore'));
      alter table finishes add constraint name_said check (name <> '');
    `)
  },
  async down({ context }: { context: MigrationContext }) {
    await context.query(`
      alter table calls drop column rank, drop constraint engine_version_said;
      drop index calls_by_water, calls_by_finish;
      alter table waters drop constraint tint_known, drop constraint kind_said, drop constraint note_bounded;
      alter table lure_types drop constraint group_known;
      alter table finishes drop constraint name_said;
    `)
  },
}
