import { useEventListener } from '@vueuse/core'
import { useSettingsStore } from './store'

export interface KeyActions {
  undo: () => void
  redo: () => void
  keep: () => void
  next: () => void
  previous: () => void
  rod: (n: 0 | 1 | 2) => void
  theme: () => void
  units: () => void
  watcher: () => void
  lure: () => void
  conditions: () => void
  food: () => void
  kept: () => void
  readings: () => void
  waters: () => void
  lures: () => void
  help: () => void
}

/** The keyboard map, as shown by the question mark. */
export const KEY_MAP = [
  { keys: '?', does: 'this page' },
  { keys: 'Tab', does: 'go through the handles of the picture, the calls and the plate' },
  {
    keys: 'arrows',
    does:
      'on a handle: a small step; Page Up and Page Down a large one, Home and End the ends; across, ' +
      'the fish changes side',
  },
  { keys: 'n  b', does: 'next call, back a call' },
  { keys: '1 2 3', does: 'first, switch or odd rod' },
  { keys: 't', does: 'tie on the chosen finish: keep the call' },
  { keys: 'z  y', does: 'undo, and again' },
  { keys: 'l', does: 'to the lures' },
  { keys: 'k', does: 'which lure here?' },
  { keys: 'c', does: 'all conditions as a form' },
  { keys: 'f', does: 'food and clues' },
  { keys: 'h', does: 'kept calls' },
  { keys: 'r', does: 'the reading desk: which water is it?' },
  { keys: 'w', does: 'waters and spots of your own' },
  { keys: 'v', does: 'as a diver, as the fish or as a camera sees it' },
  { keys: 'g', does: 'noon, dusk, night' },
  { keys: 'u', does: 'feet or metres' },
] as const

/**
 * Single keys, out of the way of typing and of any chord of the browser's; none of them where they are turned off
 * (WCAG 2.1.4).
 */
export function useKeys(a: KeyActions, target: EventTarget = window): void {
  const settings = useSettingsStore()
  const map: Record<string, () => void> = {
    '?': a.help,
    'n': a.next,
    'b': a.previous,
    '1': () => a.rod(0),
    '2': () => a.rod(1),
    '3': () => a.rod(2),
    't': a.keep,
    'z': a.undo,
    'y': a.redo,
    'l': a.lure,
    'k': a.lures,
    'c': a.conditions,
    'f': a.food,
    'h': a.kept,
    'r': a.readings,
    'w': a.waters,
    'v': a.watcher,
    'g': a.theme,
    'u': a.units,
  }
  useEventListener(target, 'keydown', (event: Event) => {
    const e = event as KeyboardEvent
    if (!settings.singleKeys) return
    if (e.ctrlKey || e.metaKey || e.altKey || e.defaultPrevented) return
    const el = e.target as HTMLElement
    if (el.closest('input:not([type=radio]):not([type=checkbox]), textarea, select, [role=listbox], [role=dialog]'))
      return
    const act = map[e.key]
    if (act) {
      e.preventDefault()
      act()
    }
  })
}
