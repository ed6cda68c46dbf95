import { mapOf } from '#core/box/map'
import type { OwnLure } from '#core/box/own'
import { apartOf, trayOf } from '#core/box/tray'
import { finishesOf } from '#core/lure/finish'
import type { Request } from '#core/request/request'
import { toFigures } from './figures'

const LURE = 'jerkbait'
const WATERS = [0.3, 0.6, 0.9, 1.3, 2, 3, 5].flatMap(visibilityM =>
  (['green', 'tea'] as const).map(tint => ({ visibilityM, tint })),
)
const asked = (water: Request['water']): Request => ({
  lure: LURE,
  water,
  light: { sky: 'partly', sunElevationDeg: 35 },
})
const owned = (): OwnLure[] => finishesOf(LURE).map(({ id, name }) => ({ id, lure: LURE, finishId: id, name }))

/** All jerkbaits owned: which look alike in each water, and from how far off; and how a map of them lies. */
export function boxOf() {
  const trays = WATERS.map(water => {
    const { finishes, sameFromM, best } = trayOf(asked(water), LURE, owned(), 0.8)
    return { ...water, looks: finishes.map(f => `${f.finishId} ${f.look}`), sameFromM, best }
  })
  const { apart } = apartOf(asked({ visibilityM: 2, tint: 'green' }), LURE, [], 0.5)
  return toFigures({ trays, map: mapOf(apart) }, 5)
}
