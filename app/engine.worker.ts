import { expose } from 'comlink'
import { workOutScreen } from '~/screen/work'
import type { Room } from '~/screen/worker'

type Work = (ask: never) => unknown
/** What a worker does, by the room it is named for. One engine serves all; what only a room needs comes with it. */
const WORKS: Record<Room, () => Work | Promise<Work>> = {
  screen: () => workOutScreen,
  bench: async () => (await import('~/bench/work')).workBench,
  box: async () => (await import('~/box/work')).workBox,
  day: async () => (await import('~/day/work')).workDay,
  season: async () => (await import('~/log/seasonWork')).workSeason,
  lures: async () => (await import('~/which-lure/work')).workLures,
  rig: async () => (await import('~/rig/work')).workRig,
  desk: async () => (await import('~/desk/work')).workDesk,
}

const work = Promise.resolve(WORKS[self.name as Room]())
// Whoever asks is told that its code could not be had; before anybody does it is no error of the page.
work.catch(() => {})
expose({ work: async (ask: never) => (await work)(ask) })
