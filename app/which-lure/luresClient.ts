import { engineWorker } from '~/common/engineWorker'
import { workerClient } from '~/common/workerClient'

/** Who tells which lure: a worker while one is to be had, else the page. */
export const luresClient = () =>
  workerClient(
    () => engineWorker('lures'),
    async () => (await import('./work')).luresApi,
  )
