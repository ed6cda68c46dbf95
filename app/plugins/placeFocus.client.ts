import { defineNuxtPlugin, useRouter } from '#app'
import { nextTick } from 'vue'

/** Whoever goes to another place by keyboard or reader stands at its beginning; its title says which it is. */
export default defineNuxtPlugin(nuxtApp => {
  const router = useRouter()
  let from: string | null = null
  nuxtApp.hook('page:finish', async () => {
    const { path } = router.currentRoute.value
    const moved = from !== null && from !== path
    from = path
    if (!moved) return
    await nextTick()
    // What the place has taken into its hands itself keeps it.
    const { activeElement } = document
    const left = !activeElement || activeElement === document.body || activeElement.closest('nav[aria-label=Places]')
    if (left) document.querySelector<HTMLElement>('main')?.focus({ preventScroll: true })
  })
})
