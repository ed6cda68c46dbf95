import { expose } from 'comlink'
import { withLightTable } from './lightTable'
import { type ScreenAsk, workScreen } from './model'

const api = {
  async work(ask: ScreenAsk) {
    await withLightTable()
    return workScreen(ask)
  },
}
expose(api)
