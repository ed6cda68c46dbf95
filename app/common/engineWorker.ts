import { wrap } from 'comlink'
import type { EngineApis } from '~/engine.worker'
import { plain } from './plain'
import type { Answering, WorkerLink } from './workerClient'

/** A worker of the browser's with the engine and one of its APIs. Throws where workers are refused. */
export function engineWorker<Name extends keyof EngineApis>(name: Name): WorkerLink<EngineApis[Name]> {
  const worker = new Worker(new URL('../engine.worker.ts', import.meta.url), { type: 'module', name })
  const remote = wrap<Record<PropertyKey, (...args: unknown[]) => unknown>>(worker)
  const api = new Proxy({} as Answering<EngineApis[Name]>, {
    get:
      (_, method) =>
      (...args: unknown[]) =>
        remote[method as string]!(...args.map(plain)),
  })
  return {
    api,
    onBroken: tell => {
      worker.addEventListener('error', tell, { once: true })
      worker.addEventListener('messageerror', tell, { once: true })
    },
    end: () => worker.terminate(),
  }
}
