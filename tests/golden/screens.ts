import type { ScreenAsk } from '../../app/water/model'
import { workScreen } from '../../app/water/model'
import { toFigures } from './figures'
import { GOLDEN } from './requests'

const ask = (name: string, over: Partial<ScreenAsk> = {}): ScreenAsk => ({
  request: GOLDEN[name]!,
  depthsM: [0.05, 0.5, 1, 2],
  side: 'level',
  watcher: 'diver',
  selectedId: null,
  stripM: [0.2, 0.5, 1.1],
  draftRows: null,
  ...over,
})

/** To four figures: what is drawn needs no more, and another machine gives no less. */
const rounded = (v: unknown) => toFigures(v, 4)

/** Screens as they are worked out for the page: by day as a diver, at night from below as the fish, and a draft. */
export const SCREENS: Readonly<Record<string, () => unknown>> = {
  'screen-day': () => rounded(workScreen(ask('spring-crank-green-pond'))),
  'screen-chosen': () =>
    rounded(workScreen(ask('gin-jerkbait-pressured', { selectedId: 'jerkbait.bone', watcher: 'fish' }))),
  'screen-night-below': () => rounded(workScreen(ask('night-snook-by-the-lamps', { side: 'below', watcher: 'fish' }))),
  'screen-draft-above': () => rounded(workScreen(ask('tea-popper-at-dawn', { side: 'above', draftRows: [2, 6] }))),
}
