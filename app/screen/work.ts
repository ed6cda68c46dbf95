import { withLightTable } from './lightTable'
import { type Draft, type ScreenAsk, type ScreenModel, workScreen } from './model'

/** A screen worked out once the light table is there. */
export async function workOutScreen(ask: ScreenAsk): Promise<ScreenModel | Draft> {
  await withLightTable()
  return workScreen(ask)
}
