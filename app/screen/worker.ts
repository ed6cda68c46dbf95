import { wrap } from 'comlink'
import { plain } from './plain'
import type { Hand } from './workerHand'

/** What workers are made for; each has work of its own, and the engine with the others. */
export type Room = 'screen' | 'bench' | 'box' | 'day' | 'desk' | 'season' | 'lures' | 'rig'

/** A worker of the browser's for a room, as a hand. Throws where workers are refused. */
export function handFor<Ask, Answer>(room: Room): Hand<Ask, Answer> {
  const worker = new Worker(new URL('../engine.worker.ts', import.meta.url), { type: 'module', name: room })
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
