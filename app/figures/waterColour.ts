import { nearest } from '#core/numeric/nearest'
import type { Theme } from '~/settings/store'
import { NIGHT_WATER, redTone } from './tone'

/** Colours of the water at some depths. */
type Steps = readonly { depthM: number; colour: string }[]

/** The water's colour at a depth as it is drawn in a theme: that of the nearest depth known, red at night. */
export function waterColour(steps: Steps | undefined, depthM: number, theme: Theme): string {
  const step = nearest(steps ?? [], depthM, s => s.depthM)
  if (!step) return theme === 'noon' ? '#5f6d5f' : '#20261f'
  return theme === 'night' ? redTone(step.colour, NIGHT_WATER) : step.colour
}
