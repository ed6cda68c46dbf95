import type { MigrationContext } from './context'

/** Pools, files that are taken in and pictures of links are jobs too; a link's picture is kept with it. */
export const moreJobs = {
  name: '0011-more-jobs',
  async up({ context }: { context: MigrationContext }) {
    await context.query(`
      alter table jobs drop constraint jobs_kind_check,
        add check (kind in ('day-plan', 'import', 'kit', 'pool', 'preview', 'season'));
      alter table shares add column picture bytea;
    `)
  },
  async down({ context }: { context: MigrationContext }) {
    await context.query(`
      alter table shares drop column picture;
      delete from jobs where kind not in ('day-plan', 'kit', 'season');
      alter table jobs drop constraint jobs_kind_check, add check (kind in ('day-plan', 'kit', 'season'));
    `)
  },
}
