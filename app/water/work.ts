import { withLight } from '~/common/withLight'
import { workScreen } from './model'

/** What the screen's worker offers: a whole screen, or a draft of it, for what is asked. */
export const screenApi = { screen: withLight(workScreen) }
