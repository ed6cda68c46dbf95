import { h, render } from 'vue'
import LureFigure from './LureFigure.vue'

type Drawing = InstanceType<typeof LureFigure>['$props']

/** Pictures made, by what they show. */
const made = new Map<string, HTMLImageElement>()
/** Most pictures kept: a lure's finishes and the silhouettes. To the browser each is a document of its own. */
const KEPT = 140

/**
 * A figure as a picture (data URL of its SVG), made once under each key. A list of dozens of detailed drawings that
 * change places is then moved by the browser as so many images.
 */
export function figureImage(key: string, drawing: Drawing, ink: string): string {
  let image = made.get(key)
  if (image) {
    // What was used last is let go of last.
    made.delete(key)
    made.set(key, image)
  } else {
    const host = document.createElement('div')
    render(h(LureFigure, drawing), host)
    const svg = host.firstElementChild!
    svg.setAttribute('style', `color:${ink}`)
    image = new Image()
    image.src = `data:image/svg+xml,${encodeURIComponent(new XMLSerializer().serializeToString(svg))}`
    render(null, host)
    if (made.size >= KEPT) made.delete(made.keys().next().value!)
    made.set(key, image)
  }
  return image.src
}
