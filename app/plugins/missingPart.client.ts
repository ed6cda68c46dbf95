import { defineNuxtPlugin, useRouter } from '#app'
import { missingPart } from '~/shell/missingPart'

/** A place whose script cannot be had is said so where the angler is: nothing that is open is left for a blank page. */
export default defineNuxtPlugin(nuxtApp => {
  const router = useRouter()
  const failed = new WeakSet<object>()
  nuxtApp.hook('app:chunkError', ({ error }: { error: unknown }) => {
    if (typeof error === 'object' && error) failed.add(error)
  })
  router.onError((error: unknown, to) => {
    if (typeof error === 'object' && error && failed.has(error)) missingPart.value = to.fullPath
  })
  router.afterEach((_to, _from, failure) => {
    if (!failure) missingPart.value = null
  })
})
