import { wrap } from 'comlink'
import type { Draft, ScreenAsk, ScreenModel } from './model'
import { plain } from './plain'
import type { Hand } from './workerHand'

/** A browser's worker that exposes `work`, as a hand. */
export function handOf<Ask, Answer>(worker: Worker): Hand<Ask, Answer> {
  const remote = wrap<{ work: (ask: unknown) => unknown }>(worker)
  return {
    work: ask => remote.work(plain(ask)) as Promise<Answer>,
    onBroken: tell => {
      worker.addEventListener('error', tell, { once: true })
      worker.addEventListener('messageerror', tell, { once: true })
    },
    end: () => worker.terminate(),
  }
}

/** A ranking worker of the browser's. Throws where workers are refused. */
export const makeWorker = () =>
  handOf<ScreenAsk, ScreenModel | Draft>(
    new Worker(new URL('./ranking.worker.ts', import.meta.url), { type: 'module' }),
  )
