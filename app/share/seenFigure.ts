import { createSSRApp, h } from 'vue'
import { renderToString } from 'vue/server-renderer'
import type { LureId } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import type { SharedLook } from '#shared/share'
import LureFigure from '~/figures/LureFigure.vue'
import { UNKNOWN, partOf } from '~/figures/throughWater'
import { labelInk } from '~/figures/tone'

/**
 * A lure as it looks through the water, as text: its shapes in the colours of a look, which a page with scripts writes
 * onto them itself (see `vThroughWater`).
 * @param id told apart from every other figure of the page by it
 */
export async function seenFigure(lure: LureId, look: SharedLook, id: string): Promise<string> {
  const app = createSSRApp({ render: () => h(LureFigure, { lure, through: true }) })
  app.config.idPrefix = id
  const drawn = await renderToString(app)
  const coloured = drawn.replaceAll(/<[^>]*data-seen="([\w-]+) (\w+)"[^>]*>/g, (tag, attribute: string, part) => {
    const colour = partOf(look.parts, part as Part) ?? UNKNOWN
    const bare = tag.replace(new RegExp(` ${attribute}="[^"]*"`), '')
    return bare.replace(/^<[\w-]+/, name => `${name} ${attribute}="${colour}"`)
  })
  const ink = labelInk(look.water)
  const outline = look.shape ? ` stroke="${ink}" stroke-width="0.8"` : ''
  const outlined = coloured.replaceAll(/ data-outline(="[^"]*")?/g, outline)
  return outlined.replace('<svg', `<svg color="${ink}"`)
}
