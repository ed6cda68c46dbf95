import type { MigrationContext } from './context'

/**
 * Accounts: an angler may have a name, a password, passkeys; its devices are sessions with a row each, so that one can
 * be ended alone. Challenges of passkeys wait here, each for one answer; limits on guessing are counted here, for all
 * processes. A crew and who is aboard a trip, links that show one thing, and what waits to
 * be erased.
 */
export const accounts = {
  name: '0009-accounts',
  async up({ context }: { context: MigrationContext }) {
    await context.query(`
      alter table anglers
        add column name text check (length(name) between 1 and 40),
        add column name_key text unique,
        add column password_hash text,
        add column erase_at timestamptz,
        add column undo_hash text unique,
        add constraint named_both check ((name is null) = (name_key is null));
      create index anglers_to_erase on anglers (erase_at) where erase_at is not null;
      create table sessions (
        id uuid primary key,
        angler_id uuid not null references anglers (id) on delete cascade,
        name text not null default '' check (length(name) <= 40),
        kind text not null check (kind in ('phone', 'tablet', 'computer')),
        created_at timestamptz not null default now(),
        seen_at timestamptz not null default now(),
        ended_at timestamptz
      );
      create index sessions_by_angler on sessions (angler_id);
      create table passkeys (
        id text primary key check (length(id) between 1 and 1400),
        angler_id uuid not null references anglers (id) on delete cascade,
        public_key bytea not null,
        counter bigint not null default 0 check (counter >= 0),
        transports text[] not null default '{}',
        name text not null default '' check (length(name) <= 40),
        created_at timestamptz not null default now(),
        used_at timestamptz
      );
      create index passkeys_by_angler on passkeys (angler_id);
      create table challenges (
        challenge text primary key,
        angler_id uuid,
        expires_at timestamptz not null
      );
      create index challenges_run_out on challenges (expires_at);
      create table limits (
        key text primary key,
        points integer not null default 0,
        expire bigint
      );
      create table crew (
        angler_id uuid not null references anglers (id) on delete cascade,
        member_id uuid not null references anglers (id) on delete cascade,
        may text not null check (may in ('nothing', 'days', 'lures', 'spots')),
        since timestamptz not null default now(),
        primary key (angler_id, member_id),
        check (angler_id <> member_id)
      );
      create index crew_by_member on crew (member_id);
      create table invites (
        id uuid primary key,
        token_hash text not null unique,
        angler_id uuid not null references anglers (id) on delete cascade,
        created_at timestamptz not null default now(),
        expires_at timestamptz not null
      );
      create index invites_by_angler on invites (angler_id);
      create table aboard (
        trip_id uuid not null,
        from_angler uuid not null references anglers (id) on delete cascade,
        to_angler uuid not null references anglers (id) on delete cascade,
        kinds text[] not null,
        seq bigint not null default 0,
        primary key (trip_id, from_angler, to_angler),
        check (from_angler <> to_angler)
      );
      create index aboard_from on aboard (from_angler);
      create index aboard_to on aboard (to_angler);
      create table shares (
        id text primary key check (length(id) = 22),
        angler_id uuid not null references anglers (id) on delete cascade,
        kind text not null check (kind in ('call', 'plan', 'box', 'verdict')),
        title text not null check (length(title) between 1 and 120),
        engine_version text not null,
        body jsonb not null,
        created_at timestamptz not null default now(),
        expires_at timestamptz,
        openings bigint not null default 0 check (openings >= 0)
      );
      create index shares_by_angler on shares (angler_id, created_at desc);
    `)
  },
  async down({ context }: { context: MigrationContext }) {
    await context.query(`
      drop table shares, aboard, invites, crew, limits, challenges, passkeys, sessions;
      alter table anglers drop column undo_hash, drop column erase_at, drop column password_hash,
        drop column name_key, drop column name;
    `)
  },
}
