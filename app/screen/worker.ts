import { wrap } from 'comlink'
import type { Hand } from './rankingHand'
import type { RankingWorker } from './ranking.worker'

/** A ranking worker of the browser's. Throws where workers are refused. */
export function makeWorker(): Hand {
  const worker = new Worker(new URL('./ranking.worker.ts', import.meta.url), { type: 'module' })
  const remote = wrap<RankingWorker>(worker)
  return {
    work: ask => remote.work(ask),
    onBroken: tell => {
      worker.addEventListener('error', tell, { once: true })
      worker.addEventListener('messageerror', tell, { once: true })
    },
    end: () => worker.terminate(),
  }
}
