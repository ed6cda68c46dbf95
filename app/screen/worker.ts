import { wrap } from 'comlink'
import type { RankingWorker } from './ranking.worker'
import type { Draft, ScreenAsk, ScreenModel } from './model'
import type { Hand } from './workerHand'

/** A browser's worker as a hand, by what it does when asked. */
export const handOf = <Ask, Answer>(worker: Worker, work: (ask: Ask) => Promise<Answer>): Hand<Ask, Answer> => ({
  work,
  onBroken: tell => {
    worker.addEventListener('error', tell, { once: true })
    worker.addEventListener('messageerror', tell, { once: true })
  },
  end: () => worker.terminate(),
})

/** A ranking worker of the browser's. Throws where workers are refused. */
export function makeWorker(): Hand<ScreenAsk, ScreenModel | Draft> {
  const worker = new Worker(new URL('./ranking.worker.ts', import.meta.url), { type: 'module' })
  const remote = wrap<RankingWorker>(worker)
  return handOf(worker, ask => remote.work(ask))
}
