import type { Directive } from 'vue'
import type { Part } from '#core/paintwork/parts'
import type { SeenOut } from '~/water/model'
import { NIGHT_WATER, labelInk, redTone } from './tone'

/** What stands in for a part that a finish does not colour apart. */
const STANDS_FOR: Partial<Record<Part, readonly Part[]>> = {
  back: ['flank', 'blade', 'belly'],
  flank: ['belly', 'skirt', 'blade'],
  belly: ['flank'],
  chin: ['belly', 'flank'],
  head: ['flank', 'belly', 'skirt'],
  tail: ['flank', 'trailer'],
  trailer: ['skirt', 'flank'],
  skirt: ['belly', 'flank'],
  blade: ['flank'],
}

/** The part itself, or the first that stands in for it, of whatever is known by part. */
export const partOf = <T>(by: Partial<Record<Part, T>>, part: Part): T | undefined =>
  by[part] ?? STANDS_FOR[part]?.map(p => by[p]).find(Boolean)

/** Colour of a part that nothing is known of. */
export const UNKNOWN = '#00000055'

const inkOn = (water: string | undefined, red: boolean) => (red ? 'var(--ink)' : water ? labelInk(water) : '')

/**
 * Colours the figures drawn `through` water within an element. Their shapes stay; at every move of a finger only the
 * colours change, and these are written straight onto the shapes that wear them (`data-seen` names the part, after
 * the attribute that takes its colour). Outlines are drawn while the shape is made out, in the ink that reads on the
 * water, and hooks and eyes as plainly as they are seen.
 */
export const vThroughWater: Directive<HTMLElement, { seen: SeenOut | undefined; red: boolean }> = (
  el,
  { value: { seen, red }, oldValue },
) => {
  if (oldValue && oldValue.seen === seen && oldValue.red === red) return
  const water = seen?.water
  const wears = { shape: seen?.shape ? 'seen' : 'gone', fine: (seen?.fine ?? 0).toFixed(1), ink: inkOn(water, red) }
  // What the whole figure inherits is written only where it changed: each would have all of it styled anew.
  if (el.dataset.shape !== wears.shape) el.dataset.shape = wears.shape
  if (el.dataset.fine !== wears.fine) {
    el.dataset.fine = wears.fine
    el.style.setProperty('--fine', wears.fine)
  }
  if (el.dataset.ink !== wears.ink) {
    el.dataset.ink = wears.ink
    el.style.color = wears.ink
  }
  for (const shape of el.querySelectorAll<SVGElement>('[data-seen]')) {
    const [attribute, part] = shape.dataset.seen!.split(' ') as [string, Part]
    const colour = (seen && partOf(seen.parts, part)) ?? UNKNOWN
    const shown = red && colour !== UNKNOWN ? redTone(colour, NIGHT_WATER) : colour
    if (shape.getAttribute(attribute) !== shown) shape.setAttribute(attribute, shown)
  }
}
