import { readFileSync, readdirSync } from 'node:fs'

/** Every process of the cluster on a port: the server and those it made. */
function clusterPids(port: string): number[] {
  const processes = readdirSync('/proc').filter(p => /^\d+$/.test(p))
  const parentOf = new Map<number, number>()
  let server = 0
  for (const p of processes) {
    try {
      const stat = readFileSync(`/proc/${p}/stat`, 'utf8')
      parentOf.set(Number(p), Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[1]))
      const command = readFileSync(`/proc/${p}/cmdline`, 'utf8').split('\0')
      const data = command[command.indexOf('-D') + 1]
      if (/postgres$/.test(command[0]!) && data && portOf(data) === port) server = Number(p)
    } catch {
      // It ended while it was looked at.
    }
  }
  return server ? [server, ...[...parentOf].filter(([, parent]) => parent === server).map(([p]) => p)] : []
}

const portOf = (data: string): string | undefined =>
  readFileSync(`${data}/postmaster.pid`, 'utf8').split('\n')[3]?.trim()

/**
 * Freeze a cluster as a failing disk or host would: nothing answers and nothing is closed. Gives back how to thaw it.
 */
export function freeze(url: string): () => void {
  const pids = clusterPids(new URL(url).port)
  if (!pids.length) throw new Error('the cluster was not found')
  for (const pid of pids) process.kill(pid, 'SIGSTOP')
  return () => {
    for (const pid of pids) process.kill(pid, 'SIGCONT')
  }
}
