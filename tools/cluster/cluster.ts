import { Cluster } from './parts'
import { PART_NAMES, layoutOf } from './layout'

/**
 * `./run cluster up|down|status|roll`: two web processes, two workers, a proxy, a primary and a synchronous standby of
 * the database and what elects them, on this machine and on loopback.
 */
const { PISCATOR_CLUSTER_HOME: home = '', PISCATOR_PG_BIN: bin = '', PORT = '3100' } = process.env
const cluster = new Cluster(layoutOf(home, Number(PORT)), bin)
const say = (words: string) => console.log(words)

async function status(): Promise<void> {
  const primary = await cluster.primary()
  for (const part of PART_NAMES) {
    const serves = await cluster.serves(part).catch(() => false)
    const role = part === `database${primary?.nth}` ? ', primary' : ''
    say(`${part.padEnd(10)} ${serves ? `serves${role}` : cluster.pid(part) ? 'does not serve' : 'is not running'}`)
  }
  if (primary) say(primary.standby ? 'What is acknowledged stands twice.' : 'There is no standby: it stands once.')
}

switch (process.argv[2] ?? 'up') {
  case 'up':
    await cluster.up()
    say(`Piscator is on ${cluster.layout.url}   (./run cluster down ends it)`)
    break
  case 'down':
    await cluster.down()
    say('Ended the cluster. Its records stay.')
    break
  case 'status':
    await status()
    break
  case 'roll':
    await cluster.roll({ root: process.cwd() })
    say('Every process runs this build.')
    break
  default:
    say('usage: ./run cluster up | down | status | roll')
    process.exitCode = 2
}
