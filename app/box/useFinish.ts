import { knownFinish, wornBy } from '#core/box/own'
import type { Finish } from '#core/lure/finish'
import { useBoxStore } from './store'

/**
 * Finishes by id as this angler knows them: the catalogue's, and those of the box, which are made as it is read. A lure
 * that was painted over since is shown as it is now.
 */
export function useFinish() {
  const box = useBoxStore()
  const finishOf = (id: string): Finish | null => knownFinish(id) ?? box.all.find(l => wornBy(id, l.id))?.finish ?? null
  return { finishOf, finishName: (id: string) => finishOf(id)?.name ?? 'No longer known' }
}
