import type { Request } from '#core/request/request'
import { LURE_IDS } from '#core/lure/types'
import { recommend } from '#core/ranking/recommend'
import { startServer } from '../server'
import { medianMs, table } from './timing'

/** Requests no two of which are the same. */
const request = (i: number): Request => ({
  lure: LURE_IDS[i % LURE_IDS.length]!,
  water: {
    visibilityM: 0.3 + (i % 997) / 300,
    tint: (['green', 'tea', 'brown', 'blue-clear', 'mixed'] as const)[i % 5]!,
    temperatureC: 8 + (i % 20),
  },
  light: { sky: (['clear', 'partly', 'overcast'] as const)[i % 3]!, sunElevationDeg: 5 + (i % 71) },
})

export function benchAnswers(): void {
  // A process that has just begun is slower whatever it is asked first: every lure is asked once before any is timed.
  for (const lure of LURE_IDS) for (let i = 0; i < 3; i++) recommend({ ...request(i), lure })
  const rows = LURE_IDS.map(
    lure => [lure, medianMs(i => recommend({ ...request(i), lure }), 31, 8)] as [string, number],
  ).sort((a, b) => b[1] - a[1])
  table(
    'A full answer (target: under 15 ms)',
    ['lure', 'median ms'],
    [...rows.slice(0, 4), ['…', ''], ...rows.slice(-2)],
  )
}

/** Different requests a second from one server process, against the bare engine in this run. */
export async function benchServer(): Promise<void> {
  const server = await startServer()
  const url = `${server.url}/api/v1/recommendations`
  const post = (i: number) =>
    fetch(url, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(request(i)),
    }).then(r => r.arrayBuffer())
  // While the bare engine runs, idle connections time out; the first use of one of them fails and is made again.
  const ask = (i: number) => post(i).catch(() => post(i))
  try {
    const N = 600
    const rounds: { bare: number; served: number }[] = []
    for (let round = 0; round < 4; round++) {
      const from = 100_000 * (round + 1)
      let t = performance.now()
      for (let i = 0; i < N; i++) JSON.stringify(recommend(request(from + i)))
      const bare = (N / (performance.now() - t)) * 1000
      let next = 0
      t = performance.now()
      await Promise.all(
        Array.from({ length: 6 }, async () => {
          while (next < N) await ask(from + 50_000 + next++)
        }),
      )
      const served = (N / (performance.now() - t)) * 1000
      // The first round warms both up.
      if (round > 0) rounds.push({ bare, served })
    }
    const middle = (k: 'bare' | 'served') => rounds.map(r => r[k]).sort((a, b) => a - b)[1]!
    const t = performance.now()
    for (let i = 0; i < N; i++) await ask(7)
    const cached = (N / (performance.now() - t)) * 1000
    table(
      'Different requests a second (target: the server at 0.8 of the bare engine or more)',
      ['', 'per second', 'ratio'],
      [
        ['bare engine', middle('bare'), 1],
        ['one server process', middle('served'), middle('served') / middle('bare')],
        ['a repeated scene', cached, cached / middle('bare')],
      ],
    )
    const health: number[] = []
    let going = true
    const load = Promise.all(
      Array.from({ length: 4 }, async () => {
        for (let i = 0; going && i < 400; i++) await ask(1_500_000 + i * 4)
      }),
    )
    for (let i = 0; i < 60; i++) {
      const h = performance.now()
      await fetch(`${server.url}/api/v1/openapi.json`).then(r => r.arrayBuffer())
      health.push(performance.now() - h)
    }
    going = false
    await load
    health.sort((a, b) => a - b)
    table(
      'A light request among heavy ones (four askers at once): how long it waits',
      ['', 'ms'],
      [
        ['median', health[30]!],
        ['95th percentile', health[57]!],
      ],
    )
  } finally {
    await server.kill()
  }
}
