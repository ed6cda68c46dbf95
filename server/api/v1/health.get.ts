/** 200 when the server and its database serve, 503 when the database does not answer. */
export default defineEventHandler(async (event) => {
  const version = useRuntimeConfig().public.version
  setResponseHeader(event, 'cache-control', 'no-store')
  try {
    await database().sequelize.query('select 1')
    return { status: 'ok', version }
  }
  catch {
    setResponseStatus(event, 503)
    return { status: 'database-away', version }
  }
})
