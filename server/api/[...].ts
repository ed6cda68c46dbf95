/**
 * Any address of the API that is not one, or not for this method: a fault in the shape of every other, not the page.
 */
export default defineEventHandler(event => {
  throw createError({ statusCode: allowedAt(event.path).length ? 405 : 404 })
})
