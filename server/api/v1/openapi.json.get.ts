/** The OpenAPI 3.1 description of this surface. */
export default defineEventHandler(event =>
  workedOut(event, { kind: 'describe', asked: useRuntimeConfig().public.version }),
)
