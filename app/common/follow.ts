import { type Directive, type WatchHandle, watchEffect } from 'vue'

type Style = Partial<Record<'transform' | 'background', string>>

/**
 * Style that puts an element of class `floats` at a place, px: by a transform, which moves what is drawn without
 * laying it out or drawing it again.
 */
export const at = (x: number, y: number): Style => ({ transform: `translate(${x.toFixed(1)}px,${y.toFixed(1)}px)` })

const followed = new WeakMap<Element, WatchHandle>()

/**
 * Style that follows whatever a getter reads, written straight onto the element: what moves under a finger is moved
 * without drawing its component anew.
 */
export const vFollow: Directive<HTMLElement | SVGElement, () => Style> = {
  beforeMount: (el, { value }) =>
    void followed.set(
      el,
      watchEffect(() => void Object.assign(el.style, value())),
    ),
  unmounted: el => followed.get(el)?.stop(),
}
