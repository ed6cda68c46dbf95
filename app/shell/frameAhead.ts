import { type FunctionalComponent, createSSRApp, h } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { renderToString } from 'vue/server-renderer'
import FrameAhead from './FrameAhead.vue'

const link: FunctionalComponent<{ to: string }> = ({ to }, { slots }) => h('a', { href: to }, slots.default?.())
link.props = ['to', 'prefetchOn']

/** The frame as text, with nobody in any place yet. */
export async function frameAhead(): Promise<string> {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:any(.*)', component: FrameAhead }],
  })
  await router.push('/nowhere')
  return renderToString(createSSRApp(FrameAhead).use(router).component('NuxtLink', link))
}
