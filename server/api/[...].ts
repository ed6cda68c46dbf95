/** Any address of the API that is not one: 404 in the shape of every other fault, not the page. */
export default defineEventHandler(() => {
  throw createError({ statusCode: 404 })
})
