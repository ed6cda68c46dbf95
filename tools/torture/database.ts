import { readFileSync, readdirSync } from 'node:fs'
import { setTimeout } from 'node:timers/promises'

/** Every process of which something holds. */
function processes(holds: (pid: number) => boolean): number[] {
  const pids = readdirSync('/proc').filter(p => /^\d+$/.test(p))
  return pids.map(Number).filter(pid => {
    try {
      return holds(pid)
    } catch {
      // It ended while it was looked at.
      return false
    }
  })
}

/** Whether a process is the server of the cluster on a port: what it made has no such command line. */
function serves(pid: number, port: string): boolean {
  const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0')
  const data = command[command.indexOf('-D') + 1]
  return /postgres$/.test(command[0]!) && Boolean(data) && portOf(data!) === port
}

/** A process's state, as a letter, and its parent. */
function statusOf(pid: number): { state: string; parent: number } {
  const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
  const [state, parent] = stat.slice(stat.lastIndexOf(')') + 2).split(' ')
  return { state: state!, parent: Number(parent) }
}

/** Stop processes, and wait until they have stopped: a signal sent is not yet a signal taken. */
async function stop(pids: number[]): Promise<void> {
  for (const pid of pids) process.kill(pid, 'SIGSTOP')
  while (processes(pid => pids.includes(pid) && !/[TZ]/.test(statusOf(pid).state)).length) await setTimeout(5)
}

const portOf = (data: string): string | undefined =>
  readFileSync(`${data}/postmaster.pid`, 'utf8').split('\n')[3]?.trim()

/** The server of the cluster at a URL, and every process it has made. */
function clusterAt(url: string): number {
  const [server] = processes(pid => serves(pid, new URL(url).port))
  if (!server) throw new Error('the cluster was not found')
  return server
}

/** Kill a cluster as a power cut would: nothing is closed, nothing said; back once nothing of it is left. */
export async function killCluster(url: string): Promise<void> {
  const server = clusterAt(url)
  const made = processes(pid => statusOf(pid).parent === server)
  for (const pid of [server, ...made]) process.kill(pid, 'SIGKILL')
  while (processes(pid => [server, ...made].includes(pid) && statusOf(pid).state !== 'Z').length) await setTimeout(20)
}

/**
 * Freeze a cluster as a failing disk or host would: nothing answers and nothing is closed. Gives back how to thaw it.
 */
export async function freeze(url: string): Promise<() => void> {
  const server = clusterAt(url)
  // The server first: from then on it makes no process that would be missed.
  await stop([server])
  const made = processes(pid => statusOf(pid).parent === server)
  await stop(made)
  return () => {
    for (const pid of [...made, server]) process.kill(pid, 'SIGCONT')
  }
}
