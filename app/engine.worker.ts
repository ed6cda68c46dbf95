import { expose } from 'comlink'
import { screenApi } from '~/water/work'

/** What a worker offers, by the name it is given. One engine serves all; what only one of them needs comes with it. */
const APIS = {
  screen: async () => screenApi,
  bench: async () => (await import('~/bench/work')).benchApi,
  box: async () => (await import('~/box/work')).boxApi,
  day: async () => (await import('~/day/work')).dayApi,
  season: async () => (await import('~/log/season/seasonWork')).seasonApi,
  lures: async () => (await import('~/which-lure/work')).luresApi,
  rig: async () => (await import('~/log/rig/work')).rigApi,
  desk: async () => (await import('~/desk/work')).deskApi,
}
export type EngineApis = { [Name in keyof typeof APIS]: Awaited<ReturnType<(typeof APIS)[Name]>> }

const api = APIS[self.name as keyof EngineApis]() as Promise<Record<string, (...args: unknown[]) => unknown>>
// Whoever asks is told that its code could not be had; before anybody does it is no error of the page.
api.catch(() => {})
// Exposed at once, so that nothing that is asked while its code is on its way is lost.
expose(
  new Proxy(
    {},
    {
      get:
        (_, method) =>
        async (...args: unknown[]) =>
          (await api)[method as string]!(...args),
    },
  ),
)
