import { LRUCache } from 'lru-cache'
import { h, render } from 'vue'
import LureFigure from './LureFigure.vue'

type Drawing = InstanceType<typeof LureFigure>['$props']

/** A picture as a data URL: of its drawing, until it is settled as a bitmap, which is then held decoded. */
interface Picture {
  url: string
  settled: boolean
  bitmap?: HTMLImageElement
}
/** Pictures by what they show: as many as a large box has, some 10 kB each. */
const drawn = new LRUCache<string, Picture>({ max: 1200 })
/** Breadth of a bitmap, CSS px: the largest that a list shows one. */
const BITMAP_PX = 180
/** Drawings that the browser keeps ready, as many as a lure has: to it each is a document of its own. */
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

async function decoded(url: string): Promise<HTMLImageElement> {
  const image = new Image()
  image.src = url
  await image.decode()
  return image
}

/** A picture as a bitmap, sharp on this screen. */
async function bitmapOf(url: string): Promise<HTMLImageElement> {
  const image = await decoded(url)
  const canvas = document.createElement('canvas')
  canvas.width = BITMAP_PX * Math.ceil(devicePixelRatio)
  canvas.height = Math.round((canvas.width * image.naturalHeight) / image.naturalWidth)
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height)
  return decoded(canvas.toDataURL())
}

/**
 * Turn a picture that is drawn into a bitmap, which costs a browser far less to show than a drawing does: for lists
 * that run under a finger. Where a browser refuses, it stays what it is.
 */
export async function settle(key: string): Promise<void> {
  const picture = drawn.get(key)
  if (!picture || picture.settled) return
  picture.settled = true
  const bitmap = await bitmapOf(picture.url).catch(() => null)
  if (!bitmap) return
  picture.bitmap = bitmap
  picture.url = bitmap.src
  ready.delete(key)
}

/**
 * A figure as a picture, drawn once under each key. A list of dozens of detailed drawings that change places is then
 * moved by the browser as so many images.
 */
export function figureImage(key: string, drawing: () => Drawing, ink: string): string {
  let picture = drawn.get(key)
  if (!picture) drawn.set(key, (picture = { url: draw(drawing(), ink), settled: false }))
  if (!picture.settled && !ready.get(key)) {
    const image = new Image()
    image.src = picture.url
    ready.set(key, image)
  }
  return picture.url
}
