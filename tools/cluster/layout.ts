import { join } from 'node:path'

/** Ports of a cluster, counted from its first: the one it is asked by. */
const PORTS = {
  web: 0,
  database: 1,
  etcd: 2,
  etcdPeer: 3,
  pg: 10,
  patroni: 20,
  app: 30,
  worker: 40,
  metrics: 50,
} as const

export const DATABASES = [1, 2] as const
export const WEBS = [1, 2] as const
export const WORKERS = [1, 2] as const

/** What a cluster is made of, by name, and where each part is. */
export interface Layout {
  home: string
  /** Address of the app, by its proxy. */
  url: string
  port: (part: keyof typeof PORTS, nth?: number) => number
  file: (name: string) => string
}

export function layoutOf(home: string, first: number): Layout {
  const port: Layout['port'] = (part, nth = 0) => first + PORTS[part] + nth
  return { home, url: `http://127.0.0.1:${first}`, port, file: name => join(home, name) }
}

/** Every part, in the order in which they are started. */
export const PART_NAMES = [
  'etcd',
  ...DATABASES.map(n => `database${n}`),
  'proxy',
  ...WEBS.map(n => `web${n}`),
  ...WORKERS.map(n => `worker${n}`),
] as const
export type PartName = (typeof PART_NAMES)[number]
