-- Three roles: the cluster's own (piscator, never used by the app), the owner of the tables (migrations), and the app's,
-- which may read and write rows and nothing else. Run at every start; it changes what is not so yet.
\set ON_ERROR_STOP on
select format('create role %I login', r) from unnest(array['piscator_owner', 'piscator_app']) r
  where not exists (select from pg_roles where rolname = r) \gexec
alter role piscator_owner nosuperuser nocreatedb nocreaterole password :'owner_password';
alter role piscator_app nosuperuser nocreatedb nocreaterole password :'app_password';
select 'create database piscator owner piscator_owner'
  where not exists (select from pg_database where datname = 'piscator') \gexec
alter database piscator owner to piscator_owner;
revoke all on database piscator from public;
grant connect, temporary on database piscator to piscator_app;
\connect piscator
alter schema public owner to piscator_owner;
revoke create on schema public from public;
grant usage on schema public to piscator_app;
select format('alter table %I.%I owner to piscator_owner', schemaname, tablename)
  from pg_tables where schemaname = 'public' and tableowner <> 'piscator_owner' \gexec
grant select, insert, update, delete on all tables in schema public to piscator_app;
alter default privileges for role piscator_owner in schema public
  grant select, insert, update, delete on tables to piscator_app;
