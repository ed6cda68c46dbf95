import { readFileSync, readdirSync } from 'node:fs'

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

function parentOf(pid: number): number {
  const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
  return Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[1])
}

const portOf = (data: string): string | undefined =>
  readFileSync(`${data}/postmaster.pid`, 'utf8').split('\n')[3]?.trim()

/**
 * Freeze a cluster as a failing disk or host would: nothing answers and nothing is closed. Gives back how to thaw it.
 */
export function freeze(url: string): () => void {
  const [server] = processes(pid => serves(pid, new URL(url).port))
  if (!server) throw new Error('the cluster was not found')
  // The server first: from then on it makes no process that would be missed.
  process.kill(server, 'SIGSTOP')
  const made = processes(pid => parentOf(pid) === server)
  for (const pid of made) process.kill(pid, 'SIGSTOP')
  return () => {
    for (const pid of [...made, server]) process.kill(pid, 'SIGCONT')
  }
}
