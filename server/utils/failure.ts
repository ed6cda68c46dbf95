import { ConnectionError, DatabaseError } from 'sequelize'

/** Run a use case; a database that is away becomes a plain 503, and nothing of its words reaches the client. */
export async function withDatabaseErrors<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work()
  }
  catch (error) {
    const away = error instanceof ConnectionError || (error instanceof Error && error.name === 'SequelizeConnectionAcquireTimeoutError')
      // 57P0x: the server is shutting down or starting.
      || (error instanceof DatabaseError && /^57P0/.test((error.original as { code?: string }).code ?? ''))
      || (error instanceof Error && /Connection terminated|ECONN/.test(error.message))
    if (!away) throw error
    throw createError({ statusCode: 503, statusMessage: 'Service Unavailable', data: { errors: [{ path: '', code: 'database-away', message: 'Your records cannot be reached just now. Try again in a moment.' }] } })
  }
}
