import { DATABASES, type Layout, WEBS } from './layout'

/** Secrets of a cluster, made once. */
export interface Secrets {
  superuser: string
  replication: string
  owner: string
  app: string
  session: string
}

/**
 * How fast a lost primary is noticed, s (Patroni 3.0 documentation, "Dynamic configuration settings"): the lock of one
 * that is gone runs out after `ttl`, which is no less than `loop_wait` and twice `retry_timeout` together.
 */
const FAILOVER = { ttl: 8, loop_wait: 2, retry_timeout: 3 } as const

/** Settings of a Patroni member, as YAML takes JSON. */
export function patroniSettings(l: Layout, nth: number, bin: string, secrets: Secrets): string {
  const at = (port: number) => `127.0.0.1:${port}`
  const archive = l.file('wal')
  return JSON.stringify(
    {
      scope: 'piscator',
      name: `database${nth}`,
      restapi: { listen: at(l.port('patroni', nth)), connect_address: at(l.port('patroni', nth)) },
      etcd3: { hosts: [at(l.port('etcd'))] },
      bootstrap: {
        dcs: {
          ...FAILOVER,
          maximum_lag_on_failover: 1_048_576,
          // What is acknowledged stands on two machines, as long as there are two.
          synchronous_mode: true,
          // A primary whose postgres ended is not nursed while another could serve.
          primary_start_timeout: 0,
          // Without the store of who leads, a primary that reaches all others goes on.
          failsafe_mode: true,
          postgresql: {
            use_pg_rewind: true,
            parameters: {
              max_connections: 120,
              wal_level: 'replica',
              hot_standby: 'on',
              archive_mode: 'on',
              archive_command: `test ! -f ${archive}/%f && cp %p ${archive}/%f`,
              archive_timeout: 60,
            },
          },
        },
        initdb: [{ encoding: 'UTF8' }, { locale: 'C.UTF-8' }, 'data-checksums'],
        pg_hba: ['host replication replicator 127.0.0.1/32 scram-sha-256', 'host all all 127.0.0.1/32 scram-sha-256'],
      },
      postgresql: {
        listen: at(l.port('pg', nth)),
        connect_address: at(l.port('pg', nth)),
        data_dir: l.file(`data${nth}`),
        bin_dir: bin,
        // A standby is made at once, not spread over minutes.
        basebackup: [{ checkpoint: 'fast' }],
        pgpass: l.file(`pgpass${nth}`),
        authentication: {
          superuser: { username: 'piscator', password: secrets.superuser },
          replication: { username: 'replicator', password: secrets.replication },
          rewind: { username: 'piscator', password: secrets.superuser },
        },
        parameters: { unix_socket_directories: '', password_encryption: 'scram-sha-256' },
      },
    },
    null,
    2,
  )
}

const server = (name: string, port: number, check = '') => `  server ${name} 127.0.0.1:${port} check ${check}`.trimEnd()

/** Settings of the proxy: the app's processes behind one port, the database's primary, wherever it is, by another. */
export const proxySettings = (l: Layout): string =>
  [
    'global',
    `  stats socket ${l.file('proxy.sock')} mode 600 level admin`,
    'defaults',
    '  mode http',
    '  timeout connect 2s',
    '  timeout queue 5s',
    '  timeout client 70s',
    '  timeout server 70s',
    '  retries 3',
    '  option redispatch',
    '  # What never reached a process may go to another; a file one version lacks, another may have.',
    '  retry-on conn-failure',
    'frontend app',
    `  bind 127.0.0.1:${l.port('web')}`,
    '  option forwardfor',
    '  acl file path_beg /_nuxt/',
    '  use_backend files if file',
    '  default_backend web',
    ...['web', 'files'].flatMap(name => [
      `backend ${name}`,
      '  balance leastconn',
      ...(name === 'files' ? ['  retry-on conn-failure 404', '  balance roundrobin'] : []),
      '  option httpchk GET /api/v1/health',
      '  default-server inter 500ms fall 2 rise 1',
      ...WEBS.map(n => server(`web${n}`, l.port('app', n))),
    ]),
    'listen database',
    '  mode tcp',
    `  bind 127.0.0.1:${l.port('database')}`,
    '  timeout client 12h',
    '  timeout server 12h',
    '  option clitcpka',
    '  option srvtcpka',
    '  option httpchk OPTIONS /primary',
    '  http-check expect status 200',
    '  # Who speaks with what is no primary any more is cut off, and comes again.',
    '  default-server inter 500ms fall 2 rise 1 on-marked-down shutdown-sessions',
    ...DATABASES.map(n => server(`database${n}`, l.port('pg', n), `port ${l.port('patroni', n)}`)),
    '',
  ].join('\n')
