import { createServer, type Server } from 'node:http'
import { Gauge, collectDefaultMetrics } from 'prom-client'
import { ENGINE_VERSION } from '#core/ranking/version'
import { connectionsInUse } from '#server/db/connection'
import { lanesWaiting } from '#server/ranking/pool'
import { database } from './database'
import { COUNTS } from './counts'
import { instrumentsPart } from './instruments'
import { queueIsOpen, turnsWaiting } from './jobQueue'
import { streamsOpen } from './streams'

/** A figure that is looked up when somebody asks. */
const gauge = (name: string, help: string, value: () => number | Promise<number>) =>
  new Gauge({
    name: `piscator_${name}`,
    help,
    registers: [COUNTS],
    async collect() {
      this.set(await value())
    },
  })

function describeParts(version: string, build: string): void {
  collectDefaultMetrics({ register: COUNTS })
  gauge('database_connections_in_use', 'Connections of the pool that are in use.', () => connectionsInUse(database()))
  gauge('streams_open', 'Server-sent events that are listened to.', streamsOpen)
  gauge('rankings_waiting', 'Short jobs that wait for a thread.', () => lanesWaiting().short)
  gauge('long_parts_waiting', 'Parts of long work that wait for a thread.', () => lanesWaiting().long)
  gauge('job_turns_waiting', 'Turns of jobs that wait in the queue, of all processes.', turnsWaiting)
  gauge('queue_open', '1 where the queue of jobs can be used.', () => Number(queueIsOpen()))
  gauge('instruments_listens', '1 where this process listens to the instruments for all.', () =>
    Number(instrumentsPart() === 'listens'),
  )
  new Gauge({
    name: 'piscator_info',
    help: 'What runs here.',
    labelNames: ['version', 'build', 'engine'] as const,
    registers: [COUNTS],
  }).set({ version, build, engine: ENGINE_VERSION }, 1)
}

/** Serve the figures as text (Prometheus exposition format 0.0.4) on a port of their own, on this machine alone. */
export function serveMetrics(port: number, version: string, build: string): Server {
  describeParts(version, build)
  const server = createServer((request, response) => {
    if (request.method !== 'GET' || request.url !== '/metrics') return void response.writeHead(404).end()
    COUNTS.metrics().then(
      text => response.writeHead(200, { 'content-type': COUNTS.contentType }).end(text),
      () => response.writeHead(503).end(),
    )
  })
  return server.listen(port, '127.0.0.1')
}
