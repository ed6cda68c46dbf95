import type { MigrationContext } from './context'

/**
 * Jobs: long work that outlives whoever asked for it, what its parts came to, and its answer, until its day is over. In
 * which order they have their turns is kept by the queue (server/jobs/queue.ts), which has tables of its own.
 */
export const jobs = {
  name: '0010-jobs',
  async up({ context }: { context: MigrationContext }) {
    await context.query(`
      create table jobs (
        id uuid primary key,
        angler_id uuid not null references anglers (id) on delete cascade,
        kind text not null check (kind in ('day-plan', 'kit', 'season')),
        asked jsonb not null,
        state text not null default 'waiting' check (state in ('waiting', 'working', 'done', 'stopped', 'failed')),
        queued boolean not null default false,
        turn integer not null default 0,
        tries integer not null default 0,
        done integer not null default 0,
        parts integer not null check (parts >= 0),
        worked_ms bigint not null default 0,
        answer text,
        fault text,
        request_id text not null default '',
        created_at timestamptz not null default now(),
        ended_at timestamptz,
        check ((ended_at is not null) = (state in ('done', 'stopped', 'failed')))
      );
      create index jobs_by_angler on jobs (angler_id, created_at);
      create index jobs_unfinished on jobs (id) where ended_at is null;
      create index jobs_ended on jobs (ended_at) where ended_at is not null;
      create table job_parts (
        job_id uuid not null references jobs (id) on delete cascade,
        engine_version text not null,
        part integer not null,
        answer text not null,
        primary key (job_id, engine_version, part)
      );
    `)
  },
  async down({ context }: { context: MigrationContext }) {
    await context.query('drop table job_parts, jobs')
  },
}
