import type { Page } from '@playwright/test'

/** A photo of colours side by side, each 100 px square, drawn by the browser and ready to be picked as a file. */
export async function photoOf(page: Page, colours: readonly string[]) {
  const png = await page.evaluate(all => {
    const canvas = document.createElement('canvas')
    ;[canvas.width, canvas.height] = [100 * all.length, 100]
    const pen = canvas.getContext('2d')!
    all.forEach((colour, i) => {
      pen.fillStyle = colour
      pen.fillRect(100 * i, 0, 100, 100)
    })
    return canvas.toDataURL('image/png').split(',')[1]!
  }, colours)
  return { name: 'photo.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') }
}
