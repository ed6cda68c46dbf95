import { LRUCache } from 'lru-cache'
import { h, render } from 'vue'
import LureFigure from './LureFigure.vue'

type Drawing = InstanceType<typeof LureFigure>['$props']

/** Pictures drawn, as data URLs, by what they show: as many as a large box has, some 10 kB each. */
const drawn = new LRUCache<string, string>({ max: 1200 })
/** Those that the browser keeps ready: a lure's finishes and the silhouettes. To it each is a document of its own. */
const ready = new LRUCache<string, HTMLImageElement>({ max: 140 })

/** Whether a figure under a key is drawn already. */
export const isDrawn = (key: string): boolean => drawn.has(key)

function draw(drawing: Drawing, ink: string): string {
  const host = document.createElement('div')
  render(h(LureFigure, drawing), host)
  const svg = host.firstElementChild!
  svg.setAttribute('style', `color:${ink}`)
  const text = new XMLSerializer().serializeToString(svg)
  render(null, host)
  return `data:image/svg+xml,${encodeURIComponent(text)}`
}

/**
 * A figure as a picture (data URL of its SVG), made once under each key. A list of dozens of detailed drawings that
 * change places is then moved by the browser as so many images.
 */
export function figureImage(key: string, drawing: () => Drawing, ink: string): string {
  let url = drawn.get(key)
  if (url === undefined) drawn.set(key, (url = draw(drawing(), ink)))
  if (!ready.get(key)) {
    const image = new Image()
    image.src = url
    ready.set(key, image)
  }
  return url
}
